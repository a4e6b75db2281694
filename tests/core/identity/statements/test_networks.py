"""Pages of a brand's own on networks. Hosts are reserved for examples (RFC 2606)."""

import pytest

from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import WordSeen
from formulon.core.identity.statements.networks import handles

IN_TEXT = [
    ("Mastodon: @stimmraum@toene.example", ["https://toene.example/@stimmraum"]),
    ("Follow us at https://prints.example/@ashlock.", ["https://prints.example/@ashlock"]),
    (
        "We are @reed@water.example and @reed.shop@market.example",
        ["https://water.example/@reed", "https://market.example/@reed.shop"],
    ),
    ("Find us on the water network as @reed@water.example!", ["https://water.example/@reed"]),
    ("Fotos: https://bilder.example/@rohrsand/", ["https://bilder.example/@rohrsand"]),
    ("Sie finden uns unter @stimmraum@toene.example.", ["https://toene.example/@stimmraum"]),
    (
        "Our pictures (https://photos.example/@reed) and films (https://films.example/@reed)",
        ["https://photos.example/@reed", "https://films.example/@reed"],
    ),
    ("| Network | @reed_yard@long.water.example |", ["https://long.water.example/@reed_yard"]),
    ("Elsewhere: http://photos.example/@reed", ["http://photos.example/@reed"]),
    ("Folgt uns: @korb-werk@weide.example", ["https://weide.example/@korb-werk"]),
    ("- @reed@water.example", ["https://water.example/@reed"]),
    ("Write to reed@water.example", []),
    ("See https://water.example/reed for more.", []),
    ("https://water.example/@reed/123 is a post.", ["https://water.example/@reed"]),
]
IN_PAGES = [
    ('<a href="https://photos.example/@reed">Photos</a>', ["https://photos.example/@reed"]),
    (
        '<ul class="social-links"><li><a href="https://photos.example/reed">Photos</a></li></ul>',
        ["https://photos.example/reed"],
    ),
    ('<h3>Follow us</h3><ul><li><a href="https://photos.example/reed">Photos</a></li></ul>', ["https://photos.example/reed"]),
    ('<p>Find us elsewhere:</p><p><a href="https://photos.example/reed/">Photos</a></p>', ["https://photos.example/reed/"]),
    ('<h3>Folgen Sie uns</h3><a href="https://photos.example/reed">Fotos</a>', ["https://photos.example/reed"]),
    ('<a rel="me" href="https://photos.example/people/reed">Photos</a>', ["https://photos.example/people/reed"]),
    ('<h4>Stay in touch</h4><a href="https://films.example/reed">Films</a>', ["https://films.example/reed"]),
    ('<nav class="follow"><a href="https://films.example/reed">Films</a></nav>', ["https://films.example/reed"]),
    (
        '<p>Anderswo</p><ul><li><a href="https://bilder.example/rohrsand">Bilder</a></li></ul>',
        ["https://bilder.example/rohrsand"],
    ),
    (
        '<div id="x" class="footer-social"><a href="https://films.example/reed/"><svg></svg></a></div>',
        ["https://films.example/reed/"],
    ),
    (
        '<h3>Find us on</h3><p><a href="https://photos.example/reed">Photos</a> <a href="https://films.example/reed">Films</a></p>',
        ["https://photos.example/reed", "https://films.example/reed"],
    ),
    ('<p>Im Netz</p><p><a href="https://bilder.example/rohrsand">Bilder</a></p>', ["https://bilder.example/rohrsand"]),
    ('<a rel="me noopener" href="https://toots.example/reed">Toots</a>', ["https://toots.example/reed"]),
    ('<h3>Partners</h3><a href="https://mill.example/">The mill</a>', []),
    ('<h3>Follow us</h3><a href="https://mill.example/a/b/c">A text</a>', []),
    ('<h3>Follow us</h3><a href="/news">News</a>', []),
    ('<h3>Read on</h3><a href="https://mill.example/history">History</a>', []),
    ('<h3>Follow us</h3><a href="https://mill.example/plan.pdf">Plan</a>', []),
    ('<h3>Follow us</h3><a href="http://[broken/reed">Plan</a>', []),
]


@pytest.mark.parametrize(("said", "found"), IN_TEXT)
def test_handles_in_text(said: str, found: list[str]) -> None:
    assert handles(said) == found


@pytest.mark.parametrize(("markup", "found"), IN_PAGES)
def test_links_of_pages(markup: str, found: list[str]) -> None:
    page = f"<!doctype html><html><body><main><p>Words that are long enough.</p></main><footer>{markup}</footer></body></html>"
    reading = read_file("a.html", page.encode())
    assert [one.text for one in reading.sightings if isinstance(one, WordSeen) and one.field == "social"] == found
