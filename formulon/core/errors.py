"""The errors that core raises. Each message names the thing, the cause and the remedy."""


class FormulonError(Exception):
    """Base of every error that core raises on purpose. `code` is stable; the message is for people."""

    code = "error"


class ColorError(FormulonError):
    """A text that is not a usable colour."""

    code = "color-unreadable"


class IdentityError(FormulonError):
    """A fact of the identity that cannot be used."""

    code = "identity-invalid"


class MarkError(FormulonError):
    """A mark file that cannot be used."""

    code = "mark-refused"


class FontError(FormulonError):
    """A type family that does not exist or cannot be read."""

    code = "font-unknown"


class BrowserError(FormulonError):
    """What the browser on this machine could not do."""

    code = "browser-failed"


class SiteError(FormulonError):
    """A site document that cannot be used."""

    code = "site-invalid"


class ChangeError(FormulonError):
    """A change that does not fit the document that it is for."""

    code = "change-unfit"


class ReadError(FormulonError):
    """A file of a brand that cannot be read: the message names it, the cause and the remedy."""

    code = "file-unreadable"
