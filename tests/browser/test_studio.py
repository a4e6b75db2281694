"""The studio's own screens: wiring by mouse, drags, undo over a reload, two people at once, bad input, accessibility."""

import re
from pathlib import Path

from django.contrib.auth.models import User
from playwright.sync_api import Browser, Page, expect

from formulon.studio.models import Brand, Entry, Membership, Workspace
from formulon.studio.services import history
from tests.browser.conftest import PASSWORD, drag, enter, open_demo, open_page, sign_in, stage, violations

# What stands on the screen of each stage once it is whole.
STAGES = {
    "Identity": "main.stage-identity h2",
    "System": "main.stage-system iframe",
    "Pages": "main.stage-pages iframe",
    "Preflight": "main.stage-preflight h2",
    "Release": "main.stage-release #release-title",
}


def test_a_wire_by_mouse_restyles_every_page_and_is_undone(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    sections = page.frame_locator("iframe[title='Contact, phone 360']").locator("section.hero")
    expect(sections).to_have_css("background-color", "rgb(142, 90, 155)")  # accent: Heather
    ground = page.get_by_role("button", name=re.compile("^Accent ground"))
    drag(page, page.get_by_role("button", name="Night #1B2147"), ground)
    # All pages at all shown widths.
    expect(sections).to_have_css("background-color", "rgb(27, 33, 71)")
    for title, section in (("Contact, desktop 1280", "hero"), ("Home, desktop 1280", "call-to-action")):
        found = page.frame_locator(f"iframe[title='{title}']").locator(f"section.{section}").first
        expect(found).to_have_css("background-color", "rgb(27, 33, 71)")
    expect(page.get_by_role("region", name="Reasons")).to_contain_text("chosen")
    page.reload()
    expect(page.get_by_role("button", name="Undo")).to_have_attribute("title", "Undo: Night for the accent ground (Ctrl+Z)")
    page.keyboard.press("Control+z")
    expect(sections).to_have_css("background-color", "rgb(142, 90, 155)")
    page.keyboard.press("Control+Shift+z")
    expect(sections).to_have_css("background-color", "rgb(27, 33, 71)")


def test_a_drag_is_one_entry_and_shows_at_once(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    button = page.frame_locator("iframe[title='Home, desktop 1280']").locator(".button--primary").first
    expect(button).to_have_css("border-top-left-radius", "6px")
    page.get_by_role("tab", name="Shape and buttons").click()
    page.get_by_role("button", name="Pages", exact=True).click()
    slider = page.get_by_label("Corner radius").bounding_box()
    assert slider
    middle = slider["y"] + slider["height"] / 2
    page.mouse.move(slider["x"] + slider["width"] * 0.16, middle)
    page.mouse.down()
    for part in range(16, 51):
        page.mouse.move(slider["x"] + slider["width"] * part / 100, middle)
    expect(button).to_have_css("border-top-left-radius", "20px")  # while the button is still held
    assert Entry.objects.count() == 0
    page.mouse.up()
    expect(page.get_by_role("button", name="Undo")).to_be_enabled()
    assert Entry.objects.count() == 1
    page.get_by_role("tab", name="Type").click()
    heading = page.frame_locator("iframe[title='Home, phone 360']").get_by_role("heading", level=1)
    before = heading.evaluate("e => parseFloat(getComputedStyle(e).fontSize)")
    ratio = page.get_by_label("Ratio on phones")
    ratio.focus()
    for _ in range(4):
        ratio.press("ArrowLeft")
    expect(page.get_by_role("status").filter(has_text="Saving")).to_have_count(0)
    expect(page.get_by_text("All saved")).to_be_visible()
    expect(page.get_by_role("button", name="Undo")).to_have_attribute("title", "Undo: Ratio on phones (Ctrl+Z)")
    assert heading.evaluate("e => parseFloat(getComputedStyle(e).fontSize)") < before


def test_patches_light_their_uses(page: Page, demo: str) -> None:
    open_demo(page)
    page.get_by_role("button", name=re.compile(r"^Heading on tint, [0-9.]+ to 1")).click()
    page.get_by_role("button", name="All pages", exact=True).click()
    expect(page.get_by_text("Lit: Heading on tint")).to_be_visible()
    lit = page.frame_locator("iframe[title='About, desktop 1280']").locator("[data-lit]")
    expect(lit).to_have_count(1)
    heading = page.frame_locator("iframe[title='About, desktop 1280']").get_by_role("heading", level=1)
    expect(lit).to_have_text(heading.inner_text())


def test_full_size_and_widths_of_the_sheet(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("button", name="tablet").click()
    expect(page.locator("iframe[title='Home, tablet 768']")).to_be_visible()
    page.get_by_role("button", name="Open Home, phone, at full size").click()
    dialog = page.get_by_role("dialog")
    expect(dialog.locator("iframe[title='Home, phone 360']")).to_be_visible()
    page.keyboard.press("Escape")
    expect(dialog).to_have_count(0)


def test_frames_run_no_script(loud_page: Page, demo: str) -> None:
    page = loud_page
    open_demo(page)
    stage(page, "System")
    frames = page.locator("iframe")
    expect(frames.first).to_be_visible()
    for index in range(frames.count()):
        assert frames.nth(index).get_attribute("sandbox") == "allow-same-origin"
    frame = page.frame_locator("iframe[title='Home, phone 360']")
    expect(frame.get_by_role("heading", level=1)).to_be_visible()
    ran = frame.locator("body").evaluate(
        "b => { const s = b.ownerDocument.createElement('script'); s.textContent = 'document.body.dataset.ran = 1';"
        " b.append(s); return b.dataset.ran ?? null; }"
    )
    assert ran is None


def test_two_people_at_once(loud_page: Page, demo: str, chromium: Browser, studio: str) -> None:
    page = loud_page
    ben = User.objects.create_user("ben", password=PASSWORD, first_name="Ben")
    Membership.objects.create(workspace=Workspace.objects.get(name="Studio"), user=ben, role="designer")
    open_demo(page)
    other, _ = open_page(chromium)
    sign_in(other, studio, "ben")
    open_demo(other)
    other.get_by_label("Strapline").fill("Ben’s line.")
    other.get_by_label("Strapline").press("Enter")
    expect(other.get_by_role("button", name="Undo")).to_be_enabled()
    page.get_by_label("Strapline").fill("Anna’s line.")
    page.get_by_label("Strapline").press("Enter")
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("Ben has changed this meanwhile")
    expect(dialog).to_contain_text("“Ben’s line.”")
    expect(dialog).to_contain_text("“Anna’s line.”")
    dialog.get_by_role("button", name="Make mine again").click()
    expect(page.get_by_label("Strapline")).to_have_value("Anna’s line.")
    expect(page.get_by_role("button", name="Undo")).to_be_enabled()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_label("Strapline")).to_have_value("Ben’s line.")
    other.context.close()


def test_bad_input_gets_a_sentence_and_loses_nothing(loud_page: Page, demo: str, tmp_path: Path) -> None:
    page = loud_page
    open_demo(page)
    page.get_by_label("More colours").fill("blurp")
    page.get_by_role("button", name="Add colours").click()
    expect(page.get_by_role("alert").filter(has_text="“blurp” is not a colour")).to_be_visible()
    expect(page.get_by_label("More colours")).to_have_value("blurp")
    page.get_by_role("button", name="locked: Night").click()
    expect(page.get_by_role("button", name="lock: Night")).to_be_visible()
    expect(page.get_by_text("All saved")).to_be_visible()
    unlocked = Entry.objects.count()
    value = page.get_by_label("Value of Night")
    value.fill("nonsense")
    value.press("Enter")
    expect(page.get_by_role("alert").filter(has_text="“nonsense” is not a colour")).to_be_visible()
    expect(value).to_have_value("#1B2147")
    email = page.get_by_label("Email")
    email.fill("not an address")
    email.press("Enter")
    expect(page.get_by_role("alert").filter(has_text="is not an email address")).to_be_visible()
    for name, body, says in (
        ("script.svg", "<script>alert(1)</script>", "holds a script"),
        ("outside.svg", '<use href="http://example.org/a.svg#b"/>', "outside itself"),
        ("huge.svg", "", "60,000"),
    ):
        size = 'width="60000" height="60000"' if name == "huge.svg" else 'viewBox="0 0 9 9"'
        file = tmp_path / name
        file.write_text(f'<svg xmlns="http://www.w3.org/2000/svg" {size}>{body}</svg>')
        page.get_by_label("Add another SVG").set_input_files(file)
        alert = page.get_by_role("alert").filter(has_text=name)
        expect(alert).to_contain_text(says)
    assert Entry.objects.count() == unlocked


def test_a_wrong_password_is_told(chromium: Browser, studio: str, designer: User) -> None:
    page, _ = open_page(chromium)
    page.goto(studio)
    page.get_by_label("Name").fill("anna")
    page.get_by_label("Password").fill("wrong")
    page.get_by_role("button", name="Sign in").click()
    expect(page.get_by_role("alert")).to_contain_text("do not belong together")
    page.context.close()


def test_sign_out_ends_access(page: Page, demo: str) -> None:
    page.get_by_role("button", name="Sign out").click()
    expect(page.get_by_role("button", name="Sign in")).to_be_visible()


def test_axe_finds_no_violation_on_any_screen(page: Page, demo: str) -> None:
    found = {"Brands": violations(page)}
    open_demo(page)
    for name, shown in STAGES.items():
        stage(page, name)
        expect(page.locator(shown).first).to_be_visible()
        found[name] = violations(page)
    stage(page, "System")
    for facet in ("Type", "Shape and buttons", "Logo", "All values", "Colour"):
        page.get_by_role("tab", name=facet).click()
        found[facet] = violations(page)
    page.get_by_role("button", name="Link on paper: Link").click()
    found["Reasons"] = violations(page)
    stage(page, "Pages")
    page.get_by_role("button", name="Hero").click()
    found["Section"] = violations(page)
    page.get_by_role("button", name="All pages", exact=True).click()
    found["Sheet"] = violations(page)
    assert "\n".join(f"{name}: {bad}" for name, all_bad in found.items() for bad in all_bad) == ""


def test_axe_finds_no_violation_with_findings(page: Page, demo: str) -> None:
    brand = Brand.objects.get(pk=demo)
    document = brand.documents.get(name="choices")
    document.body["wires"] = {"accent/heading": "lamp", "paper/heading": "lamp"}
    document.save()
    open_demo(page)
    stage(page, "Preflight")
    expect(page.get_by_text("Not ready to release")).to_be_visible()
    assert "\n".join(violations(page)) == ""
    stage(page, "System")
    assert "\n".join(violations(page)) == ""


def test_axe_on_sign_in(chromium: Browser, studio: str, designer: User) -> None:
    page, _ = open_page(chromium)
    page.goto(studio)
    expect(page.get_by_role("button", name="Sign in")).to_be_visible()
    assert "\n".join(violations(page)) == ""
    page.context.close()


def test_undo_over_anothers_change_asks_first_and_points_are_named(
    chromium: Browser, studio: str, demo: str, designer: User
) -> None:
    brand = Brand.objects.get(pk=demo)
    ben = User.objects.create_user("ben", password=PASSWORD, first_name="Ben")
    Membership.objects.create(user=ben, workspace=brand.workspace, role=Membership.Role.DESIGNER)
    first = {"op": "replace", "path": "/title", "value": "Anna’s own title"}
    revision = brand.documents.get(name="page:home").revision
    written = history.write(brand, designer, "Title written", [history.Edit("page:home", revision, [first])])
    edit = history.Edit("page:home", revision + 1, [first | {"value": "Ben’s title"}])
    history.write(brand, ben, "Title mended", [edit])
    assert written is not None
    page, _ = open_page(chromium)
    enter(page, studio, designer)
    page.goto(f"{studio}/brands/{demo}/pages")
    page.get_by_role("button", name="History").click()
    dialog = page.get_by_role("dialog", name="History")
    expect(dialog.get_by_text("Title mended", exact=True)).to_be_visible()
    dialog.get_by_label("Name of the point “Title written”").fill("As shown on Monday")
    with page.expect_response(lambda answer: answer.request.method == "PUT"):
        page.keyboard.press("Enter")
    page.keyboard.press("Escape")
    expect(dialog).to_have_count(0)
    assert Entry.objects.get(pk=written.pk).name == "As shown on Monday"
    page.get_by_role("button", name="Undo").click()
    asked = page.get_by_role("dialog", name="Take it back all the same?")
    expect(asked).to_contain_text("Ben has changed the same place since “Title written”: “Title mended”.")
    asked.get_by_role("button", name="Leave it as it is").click()
    expect(asked).to_have_count(0)
    assert Brand.objects.get(pk=demo).documents.get(name="page:home").body["title"] == "Ben’s title"
    page.get_by_role("button", name="Undo").click()
    asked.get_by_role("button", name="Take it back").click()
    expect(page.get_by_role("button", name="Redo")).to_have_attribute("title", "Redo: Title written (Ctrl+Shift+Z)")
    assert Brand.objects.get(pk=demo).documents.get(name="page:home").body["title"] not in ("Ben’s title", "Anna’s own title")
    page.context.close()
