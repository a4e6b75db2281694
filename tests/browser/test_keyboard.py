"""The whole way once by keyboard alone: Tab, Enter, arrows and typing."""

import re

from playwright.sync_api import Browser, Page, expect

from tests.browser.conftest import PASSWORD, open_page

# The name of what has the focus, as it is read out: inside a preview frame, the element there.
FOCUSED = """() => {
  let e = document.activeElement;
  if (e && e.tagName === 'IFRAME') { const inner = e.contentDocument.activeElement;
    if (inner && inner !== e.contentDocument.body) e = inner; }
  if (!e || e === document.body) return '';
  const label = e.getAttribute('aria-label') || (e.labels && e.labels[0] ? e.labels[0].innerText : '');
  const text = (e.innerText || '').trim();
  return [label, text, e.tagName.toLowerCase(), e.getAttribute('value') || ''].join(' | ').replace(/\\s+/g, ' ');
}"""


def tab_to(page: Page, wanted: str, back: bool = False, most: int = 160) -> None:
    """Presses Tab until what has the focus matches."""
    seen = []
    for _ in range(most):
        name = str(page.evaluate(FOCUSED))
        if re.search(wanted, name):
            return
        seen.append(name)
        page.keyboard.press("Shift+Tab" if back else "Tab")
    raise AssertionError(f"no focus on {wanted!r}; last were {seen[-12:]}")


def go(page: Page, name: str) -> None:
    tab_to(page, rf"\| {name}|^{name}", back=True)
    page.keyboard.press("Enter")


def fill(page: Page, label: str, text: str) -> None:
    tab_to(page, rf"^{label} \|")
    page.keyboard.press("Control+a")
    page.keyboard.type(text)
    page.keyboard.press("Tab")
    expect(page.get_by_text("All saved")).to_be_visible()


def test_by_keyboard_alone(chromium: Browser, studio: str, designer: object) -> None:
    page, said = open_page(chromium)
    page.goto(studio)
    expect(page.get_by_label("Name")).to_be_focused()
    page.keyboard.type("anna")
    page.keyboard.press("Tab")
    page.keyboard.type(PASSWORD)
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="Brands")).to_be_visible()

    # 2: a new brand.
    tab_to(page, "^Name")
    page.keyboard.type("Reed and Rush")
    page.keyboard.press("Enter")
    expect(page.get_by_label("Name", exact=True)).to_have_value("Reed and Rush")

    # 3: words, colours, a typeface.
    fill(page, "Strapline", "Woven to be used.")
    fill(page, "What it does", "We weave baskets from our own willow, and teach it.")
    fill(page, "For whom", "Cooks and gardeners")
    fill(page, "Where", "Rushmere")
    fill(page, "Name of a new offer", "Log baskets")
    fill(page, "Text of offer 1", "For the hearth, with two handles.")
    fill(page, "Address", "3 Reed Row")
    fill(page, "Email", "hello@reedandrush.example")
    fill(page, "Telephone", "01632 960199")
    tab_to(page, "^Paste the brand")
    page.keyboard.type("Willow #9DB63C")
    page.keyboard.press("Enter")
    page.keyboard.type("Bark #4A3426")
    page.keyboard.press("Control+Enter")
    expect(page.get_by_label("Value of Bark")).to_have_value("#4A3426")
    tab_to(page, "^Young Serif")
    page.keyboard.press("ArrowUp")
    expect(page.locator("input[name=typeface]:checked")).to_have_value("work-sans")

    # 4: a wire by Enter and Enter, and the radius by arrows.
    go(page, "2 System")
    tab_to(page, r"\| Willow #9DB63C \| button")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="Lead Willow to a ground, an ink or a button")).to_be_visible()
    tab_to(page, "^Heading on tint: ")
    page.keyboard.press("Enter")
    expect(page.get_by_role("region", name="Reasons")).to_contain_text("Willow as heading on tint")
    tab_to(page, "\\| Colour \\|", back=True)
    page.keyboard.press("ArrowRight")
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("tab", name="Shape and buttons")).to_be_focused()
    tab_to(page, "^Corner radius")
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("button", name="Undo")).to_have_attribute("title", "Undo: Corner radius (Ctrl+Z)")

    # 5: a headline on the page itself, another layout.
    go(page, "3 Pages")
    expect(page.get_by_role("group", name="The page Home, for editing")).to_be_visible()
    expect(page.frame_locator("iframe").get_by_role("textbox", name="heading", exact=True).first).to_be_visible()
    tab_to(page, "\\| Hero")
    page.keyboard.press("Enter")
    tab_to(page, "\\| Frieze")
    page.keyboard.press("Enter")
    expect(page.frame_locator("iframe").locator(".hero--frieze")).to_be_visible()
    tab_to(page, "^heading \\| Woven to be used")
    page.keyboard.press("Control+a")
    page.keyboard.type("Baskets for every day")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Baskets for every day"))

    # 7: the stop, and its fix.
    go(page, "4 Preflight")
    expect(page.get_by_text("Not ready to release")).to_be_visible()
    tab_to(page, "as derived")
    page.keyboard.press("Enter")
    expect(page.get_by_text("Ready to release", exact=True)).to_be_visible()

    # 6 and 8: the strip lights uses; the release.
    go(page, "5 Release")
    expect(page.get_by_role("heading", name="Ready for r1")).to_be_visible()
    tab_to(page, "\\| Release r1 \\| button")
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name="r1 is live")).to_be_visible()
    tab_to(page, "Heading on paper")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="All pages", exact=True)).to_be_visible()
    tab_to(page, "\\| All pages \\|", back=True)
    page.keyboard.press("Enter")
    expect(page.get_by_text("Lit: Heading on paper")).to_be_visible()
    tab_to(page, "^Open Home, phone, at full size")
    page.keyboard.press("Enter")
    expect(page.get_by_role("dialog")).to_be_visible()
    page.keyboard.press("Escape")
    expect(page.get_by_role("dialog")).to_have_count(0)
    # Undo by key, past the release: the headline is back.
    page.keyboard.press("Control+z")
    page.keyboard.press("Control+z")
    expect(page.get_by_text("r1 live, changed since")).to_be_visible()
    assert said == []
    page.context.close()
