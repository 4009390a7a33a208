"""What leaves the screen is fetched from its page."""

import re
import threading
from io import BytesIO
from pathlib import Path

import numpy as np
from PIL import Image
from playwright.sync_api import Page, expect
from zxingcpp import read_barcodes

from demo.plotter import start

JOBS = Path(__file__).parents[2] / "demo/jobs"
SQUARE = np.array([(0, 0), (254, 0), (254, 254), (0, 254)], float)


def test_a_pattern_is_fetched_and_a_card_opened(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    expect(page.get_by_role("heading", name="Files of Marit Sol: Choir, concert palazzo")).to_be_visible()
    expect(page.get_by_role("img", name="Pattern on A4, drawn small")).to_be_visible()
    with page.expect_download() as coming:
        page.get_by_role("link", name="Fetch the file Pattern on A4").click()
    assert coming.value.suggested_filename == "choir-concert-palazzo-pattern-a4.pdf"
    assert Path(coming.value.path()).read_bytes().startswith(b"%PDF")
    with page.context.expect_page() as opened:
        page.get_by_role("link", name="Calls", exact=True).click()
    card = opened.value
    expect(card.get_by_role("heading", name="calls")).to_be_visible()
    # A telephone reads the code of the second piece as the address of its first call.
    code = card.get_by_alt_text(re.compile("^Opens call")).nth(1)
    code.scroll_into_view_if_needed()
    (read,) = read_barcodes(Image.open(BytesIO(code.screenshot())).resize((264, 264)))
    first = int(re.search(r"\d+", code.get_attribute("alt"))[0])
    assert re.fullmatch(rf"{re.escape(card.url.partition('/orders/')[0])}/orders/[^/]+/mark\?call={first}", read.text)
    page.goto(read.text)
    expect(page.locator(f"[data-call-n='{first}']")).to_be_visible()


def test_a_link_opens_the_plan_for_somebody_without_an_account(inside: Page, browser):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    page.get_by_role("button", name="Make a link").click()
    address = page.get_by_label(re.compile("^Until")).input_value()
    page.reload()
    expect(page.get_by_label(re.compile("^Until"))).to_have_value(address)
    elsewhere = browser.new_context(viewport={"width": 390, "height": 844})
    theirs = elsewhere.new_page()
    theirs.goto(address)
    expect(theirs.get_by_role("heading", name="Choir, concert palazzo")).to_be_visible()
    expect(theirs.get_by_role("img", name="Front, drawn")).to_be_visible()
    expect(theirs.get_by_text("Marit Sol")).to_have_count(0)
    page.get_by_role("button", name="Take the link back").click()
    expect(page.get_by_role("button", name="Make a link")).to_be_visible()
    theirs.reload()
    expect(theirs.get_by_text("This link has ended, or was never one")).to_be_visible()
    elsewhere.close()


def thrown(corners):
    """What takes the square of 10 in to its corners on the screen, by least squares of the four pairs."""
    rows = []
    for (x, y), (u, v) in zip(SQUARE, corners, strict=True):
        rows += [[x, y, 1, 0, 0, 0, -u * x, -u * y, -u], [0, 0, 0, x, y, 1, -v * x, -v * y, -v]]
    return np.linalg.svd(np.array(rows))[2][-1].reshape(3, 3)


def seen(h, points):
    there = np.c_[points, np.ones(len(points))] @ h.T
    return there[:, :2] / there[:, 2:]


def drag(page, start, end):
    page.mouse.move(*start)
    page.mouse.down()
    page.mouse.move(*end, steps=4)
    page.mouse.up()


def finely(points):
    """A closed outline with a point at least every 4 mm."""
    ends = np.roll(points, -1, axis=0)
    return np.concatenate([
        a + (b - a) * np.linspace(0, 1, max(2, int(np.hypot(*(b - a)) / 4)), endpoint=False)[:, None]
        for a, b in zip(points, ends, strict=True)
    ])  # fmt: skip


def assert_chalked(page, outline):
    """On the screen there is chalk within 2 px of every point of an outline that it shows, beside what is written."""
    picture = np.asarray(Image.open(BytesIO(page.screenshot())).convert("L")) > 110
    high, wide = picture.shape
    shown = [
        (int(x), int(y)) for x, y in outline if 3 < x < wide - 3 and 3 < y < high - 3 and not (x < 470 and y < 330)
    ]
    missed = [(x, y) for x, y in shown if not picture[y - 2 : y + 3, x - 2 : x + 3].any()]
    assert len(shown) > 80
    assert missed == []


def test_a_piece_is_thrown_in_true_size_at_two_calibrations(inside: Page):
    """Straight above the table, then askew: where its outline is on the screen is worked out here once more."""
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    page.get_by_role("link", name="Open the projector page").click()
    order = re.search(r"/orders/([^/]+)", page.url)[1]
    made = page.evaluate(
        """(id) => fetch(`/api/orders/${id}/plan`, {method: 'POST', headers: {
            'X-CSRFToken': document.cookie.match(/csrftoken=([^;]+)/)[1]}}).then((answer) => answer.json())""", order
    )  # fmt: skip
    cut = np.array(made["plan"]["pieces"][0]["cut"])
    middle = (cut.min(axis=0) + cut.max(axis=0)) / 2
    expect(page.get_by_role("heading", name="Calibrate the projector")).to_be_visible()
    drag(page, (870, 200), (620, 200))
    corners = [(470, 200), (620, 200), (620, 350), (470, 350)]
    for third in ((620, 350), (590, 371)):
        drag(page, (620, 350), third)
        corners[2] = third
        page.get_by_role("button", name="It is right").click()
        h = thrown(corners)
        centre = seen(np.linalg.inv(h), np.array([(640, 400)]))[0]
        page.keyboard.press("b")
        expect(page.get_by_role("button", name="Turn")).to_have_count(0)
        assert_chalked(page, seen(h, finely(cut - middle + centre)))
        page.keyboard.press("b")
        expect(page.get_by_text("call 1 of")).to_be_visible()
        page.keyboard.press("c")
    page.keyboard.press("c")
    page.reload()
    expect(page.get_by_text("call 1 of")).to_be_visible()  # it was kept
    page.keyboard.press("PageDown")
    expect(page.get_by_text("call 2 of")).to_be_visible()
    upright = page.locator("path[data-role=cut]").bounding_box()
    page.keyboard.press("r")
    turned = page.locator("path[data-role=cut]").bounding_box()
    assert turned["width"] > turned["height"]
    assert upright["width"] < upright["height"]
    page.keyboard.press("f")
    flipped = page.locator("path[data-role=cut]")
    lengths = "(one) => { const m = one.getCTM(); return m.a * m.d - m.b * m.c; }"
    assert flipped.evaluate(lengths) < 0, "its other side is up"
    page.keyboard.press("f")
    assert flipped.evaluate(lengths) > 0
    place = "(one) => { const m = one.getCTM(); return [m.e, m.f]; }"
    before = flipped.evaluate(place)
    for key in ("ArrowRight", "ArrowRight", "Shift+ArrowDown"):
        page.keyboard.press(key)
    after = flipped.evaluate(place)
    assert [after[0] - before[0], after[1] - before[1]] == [20, 100], "in mm on the cloth"
    page.keyboard.press("l")
    expect(page.get_by_role("img", name="The lay, in true size")).to_be_visible()


def test_the_pieces_are_plotted_with_a_jam_in_the_middle(inside: Page, worker, tmp_path, settings):
    """A plotter's stand-in draws them; what it spoiled is drawn anew after a press, what was whole is not."""
    plotter, servers = start(0, tmp_path)
    settings.PLAVET_PLOTTER = f"127.0.0.1:{servers[0].server_address[1]}"
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    plotter.troubles.jam = True

    def work():
        thread = threading.Thread(target=worker, args=("plot",))
        thread.start()
        thread.join()

    page.get_by_role("button", name="Plot the pieces").click()
    expect(page.get_by_text("Drawing piece 1 of 3")).to_be_visible()
    work()
    expect(page.get_by_text("The paper is jammed at piece 1 of 3")).to_be_visible()
    plotter.asked(["mend"])
    page.get_by_role("button", name="Go on").click()
    expect(page.get_by_text("Drawing piece 1 of 3")).to_be_visible()
    work()
    expect(page.get_by_text("All 3 pieces are drawn.")).to_be_visible()
    (job,) = plotter.jobs.values()
    assert job.pieces == 3
    for server in servers:
        server.shutdown()


def test_a_job_file_opens_as_an_order(inside: Page):
    page = inside
    page.goto("/new")
    chooser = page.get_by_label("Or open a job file")
    chooser.set_input_files({"name": "x.json", "mimeType": "application/json", "buffer": b'{"format": "plavet-job"'})
    expect(page.get_by_text("This file cannot be opened yet.")).to_be_visible()
    expect(page.get_by_role("list", name="What is wrong with the file")).to_contain_text("line 1")
    chooser.set_input_files(JOBS / "crew-jumpsuit.json")
    expect(page.get_by_text(re.compile("In the file: Pell Harrow's 15 measurements, Jumpsuit"))).to_be_visible()
    expect(page.get_by_label("Client")).to_have_value("Pell Harrow")
    page.get_by_role("button", name="Open it as an order").click()
    page.wait_for_url("**/design")
    expect(page).to_have_title(re.compile("^Design, Pell Harrow, "))
    page.get_by_role("link", name="Check").first.click()
    expect(page.get_by_text(re.compile(r"\d+ of \d+ hold|All \d+ hold")).first).to_be_visible()


HEAD = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 90">'


def test_a_pattern_from_outside_is_compared_mended_and_fetched(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    # By its key: what is above it grows while the pictures of the files come.
    page.get_by_role("link", name="Open a pattern").press("Enter")
    expect(page.get_by_role("heading", name="House patterns")).to_be_visible()
    chooser = page.get_by_label("The file")

    def choose(text, name="Our yoke.svg"):
        chooser.set_input_files({"name": name, "mimeType": "image/svg+xml", "buffer": text.encode()})

    choose(f'{HEAD}<path id="flap" d="M10,10 l20,20 0,-20 -20,20 z"/></svg>')
    page.get_by_text("centimetres").click()
    expect(page.get_by_text("This outline crosses itself")).to_be_visible()
    expect(page.get_by_role("button", name="Pattern on A4")).to_have_count(0)
    choose("no drawing")
    expect(page.get_by_text("This is no SVG or DXF drawing that can be read")).to_be_visible()
    choose(f'{HEAD}<rect id="yoke" width="30.48" height="10.16"/></svg>')
    page.get_by_text("centimetres").click()
    row = page.get_by_role("row", name=re.compile("^yoke"))
    expect(row).to_contain_text("12″")
    expect(row).to_contain_text("4″")
    with page.expect_download() as coming:
        page.get_by_role("button", name="Pattern on A4").click()
    assert coming.value.suggested_filename == "Our-yoke-pattern-a4.pdf"
    assert Path(coming.value.path()).read_bytes().startswith(b"%PDF")
