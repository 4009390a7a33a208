"""The line is lost while somebody chalks and measures: an order that was opened goes on, and all is sent once."""

import re

from playwright.sync_api import Browser, Page, expect

from demo import people
from shop.chalk.models import Chalking, Tick
from shop.clients.models import Reading
from shop.sewing.models import Sewn
from tests.servers import database, free_port, served

SEWN = "Fuse the interfacing", "Sew the darts", "Close the front centre", "Close the back centre", "Close the sides"
CODES = "fuse", "darts", "front_centre", "back_centre", "side", "measure_hip"
HELD = """async (store) => {
  const db = await new Promise((go) => { const ask = indexedDB.open(store); ask.onsuccess = () => go(ask.result) })
  if (!db.objectStoreNames.length) return []
  const rows = db.transaction(db.objectStoreNames[0]).objectStore(db.objectStoreNames[0]).getAllKeys()
  return new Promise((go) => { rows.onsuccess = () => { db.close(); go(rows.result) } })
}"""


def log_in(page: Page) -> None:
    page.goto("/")
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.get_by_label("Password").press("Enter")
    page.get_by_role("navigation", name="Rooms").wait_for()


def opened(page: Page) -> str:
    """The device is told to keep, and an order is opened on Mark; its address."""
    page.get_by_role("link", name="Settings", exact=True).click()
    page.get_by_role("button", name="Keep opened orders on this device").click()
    page.get_by_role("button", name="Keep nothing on this device").wait_for()
    page.evaluate("() => navigator.serviceWorker.ready.then(() => null)")
    page.get_by_role("link", name="Bench").click()
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_text("Call 1 of").wait_for()
    for _ in range(100):
        held = page.evaluate(HELD, "plavet-answers")
        if all(
            any(f'["{kind}"' in key for key in held)
            for kind in ("plan", "chalk", "sewn", "order", "advice", "readings")
        ):
            break
        page.wait_for_timeout(100)
    assert any('["readings"' in key for key in held), held
    return page.url


def test_an_opened_order_goes_on_while_the_server_is_gone(browser: Browser, transactional_db):
    """Killed and started again: two ticks and a reading made meanwhile come once, with the ids they were made with."""
    port = free_port()
    beside = {"port": port, "DATABASE_URL": database(), "DJANGO_SETTINGS_MODULE": "shop.settings.test"}
    context = browser.new_context(base_url=f"http://127.0.0.1:{port}", viewport={"width": 1280, "height": 800})
    page = context.new_page()
    line = page.get_by_label("The line")
    faults: list[str] = []
    page.on("pageerror", lambda error: faults.append(str(error)))
    page.on("console", lambda said: faults.append(said.text) if "Content Security" in said.text else None)
    with served(1, **beside):
        log_in(page)
        mark = opened(page)
    for n in (2, 3):
        page.keyboard.press("PageDown")
        page.locator(f"[data-call-n='{n}']").wait_for()
    expect(line).to_contain_text("server is lost. Measuring, marking and sewing go on from what this device keeps")
    expect(line).to_contain_text("2 ticks wait to be sent")
    assert len(page.evaluate(HELD, "plavet-outbox")) == 2
    page.reload()
    expect(page.get_by_text("2 of 100 chalked")).to_be_visible()
    expect(page.get_by_text("Call 3 of")).to_be_visible()
    page.goto(mark.replace("/mark", "/measure"))
    page.get_by_role("button", name=re.compile("^hip( |$)")).click()
    field = page.get_by_label("Read off the tape")
    field.fill("41 1/2")
    field.press("Enter")
    expect(page.get_by_role("button", name=re.compile("^hip 41 and a half inches"))).to_be_visible()
    expect(line).to_contain_text("2 ticks and 1 reading wait to be sent")
    expect(page.get_by_text("Without the line no reading is doubted")).to_be_visible()
    page.goto(mark.replace("/mark", "/sewing"))
    for k, step in enumerate(SEWN):
        page.get_by_role("button", name=f"{step}: done").click()
        expect(page.get_by_text(re.compile(rf"^{k + 1} of \d+ steps done"))).to_be_visible()
    hip = page.get_by_role("form", name="Measure the hip as it is sewn")
    hip.get_by_label("Hip round reads").fill("41")
    hip.get_by_label("Hip round reads").press("Enter")
    expect(hip.get_by_text("What it means is said when the line is back.")).to_be_visible()
    expect(line).to_contain_text("2 ticks, 1 reading and 6 steps wait to be sent")
    page.reload()
    expect(page.get_by_text("Done by you")).to_have_count(6)
    page.goto("/")
    expect(page.get_by_role("link", name="Mark").first).to_be_visible()
    assert not Tick._base_manager.exists()

    written = {str(id) for id in page.evaluate(HELD, "plavet-outbox")}
    with served(1, **beside):
        expect(line).to_contain_text("all is sent, 9 in number")
        chalked = Chalking._base_manager.get()
        ticks = list(Tick._base_manager.all())
        reading = Reading._base_manager.get(pk__in=written)
        sewn = list(Sewn._base_manager.order_by("created_at"))
        assert {str(one.id) for one in [*ticks, reading, *sewn]} == written
        assert [one.operation for one in sewn] == [f"trousers.{code}" for code in CODES]
        # A hip of 41 with 1 of ease reads 41 by the plan that was chalked: an inch too small.
        assert sewn[-1].readings["typed"] == {"hip": "41 in"}
        assert sewn[-1].readings["judged"]["agrees"] is False
        assert sorted(one.call for one in ticks) == [1, 2]
        assert {one.chalking_id for one in ticks} == {chalked.id}
        assert page.evaluate(HELD, "plavet-outbox") == []
        page.goto(mark)
        expect(page.get_by_text("A newer plan differs: hip: 41″ before, 41 1/2″ now")).to_be_visible()
        page.get_by_role("button", name="Leave").click()
        page.get_by_label("User name").wait_for()
        assert page.evaluate(HELD, "plavet-answers") == []
    context.close()
    assert faults == []


def test_without_being_told_a_device_keeps_nothing(inside: Page, complaints: list[str]):
    """The network is cut: a tick is refused in words, a reading stays in its field; with the line both go in."""
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_text("Call 1 of").wait_for()
    page.context.set_offline(True)
    page.keyboard.press("PageDown")
    expect(page.get_by_label("The line")).to_contain_text("nothing new is kept until it is back")
    expect(page.get_by_role("alert").first).to_contain_text("The line to the workshop's server is lost")
    page.context.set_offline(False)
    expect(page.get_by_label("The line")).to_have_count(0)
    assert page.evaluate(HELD, "plavet-answers") == []
    assert not Tick._base_manager.exists()
    complaints[:] = [one for one in complaints if "ERR_INTERNET_DISCONNECTED" not in one]
