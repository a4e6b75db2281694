"""A second language, from nothing to a visitor who switches to it; by keyboard alone where texts are written."""

import re

from playwright.sync_api import Browser, Page, expect

from tests.browser.conftest import open_demo, stage, violations


def test_a_second_language_is_written_published_and_switched_to(loud_page: Page, demo: str, chromium: Browser) -> None:
    page = loud_page  # a release that is held back is a request that is refused
    open_demo(page)
    stage(page, "Pages")
    page.get_by_role("button", name="Languages", exact=True).click()
    expect(page.get_by_text("One language so far")).to_be_visible()
    assert violations(page) == []
    page.get_by_label("Add a language").select_option("he")
    status = page.locator(".languages-state [role=status]")
    expect(status).to_contain_text("texts wait")
    assert violations(page) == []
    page.get_by_role("button", name=re.compile("^To do")).click()
    waiting = int(re.findall(r"\d+", str(status.inner_text()))[0])
    page.locator(".text-row textarea").first.focus()
    # By keyboard alone: each is written, and the next that waits is in focus.
    for number in range(3):
        page.keyboard.type(f"כוכב {number}")
        page.keyboard.press("Control+Enter")
        expect(status).to_contain_text(f"{waiting - number - 1} of")
    page.get_by_role("button", name=re.compile(r"^All \d")).click()
    page.get_by_label("published").check()
    expect(page.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("is published"))
    stage(page, "Release")
    page.get_by_role("button", name=re.compile("^Release r")).click()
    expect(page.get_by_text(re.compile("not translated into"))).to_be_visible()
    page.get_by_role("button", name="Undo").click()  # of the publishing
    stage(page, "Pages")
    page.get_by_role("button", name="Languages", exact=True).click()
    expect(page.get_by_label("published")).not_to_be_checked()
    # The rest as a service would write it, at once.
    rest = page.evaluate(
        """async id => {
          const at = `/api/brands/${id}/languages/he/texts`;
          const token = document.cookie.match(/csrftoken=([^;]+)/)[1];
          const lines = (await (await fetch(at)).json()).lines.filter(one => one.state === 'missing');
          const texts = Object.fromEntries(lines.map((one, index) => [one.source, `שלום ${index}`]));
          const send = (method, body) => fetch(at, {method, body: JSON.stringify(body),
            headers: {'Content-Type': 'application/json', 'X-CSRFToken': token}});
          return [(await send('PUT', {texts})).status, (await send('POST', {published: true})).status];
        }""",
        demo,
    )
    assert rest == [200, 200]
    page.reload()
    stage(page, "Release")
    page.get_by_role("button", name=re.compile("^Release r")).click()
    address = page.get_by_role("link", name="http://127.0.0.1").get_attribute("href")
    visit(chromium, str(address))


def visit(chromium: Browser, address: str) -> None:
    for width in (360, 1280):
        context = chromium.new_context(viewport={"width": width, "height": 800}, java_script_enabled=True)
        visitor = context.new_page()
        visitor.goto(f"{address}contact.html")
        switch = visitor.get_by_role("navigation", name="Languages")
        expect(switch.get_by_role("link")).to_have_text(["English", "עברית"])
        assert visitor.evaluate("document.documentElement.scrollWidth") == width
        switch.get_by_role("link", name="עברית").click()
        expect(visitor.locator("html")).to_have_attribute("dir", "rtl")
        assert "/he/" in visitor.url and visitor.evaluate("document.documentElement.scrollWidth") == width
        assert violations(visitor) == []
        loaded = visitor.evaluate(
            "[...document.styleSheets].every(one => one.cssRules.length) && document.fonts.ready.then(f => [...f].some(one => one.status === 'loaded'))"
        )
        assert loaded, "style sheets and fonts of the root are found from the folder"
        visitor.locator("nav.languages a").first.click()
        assert visitor.url == f"{address}contact.html"
        context.close()
