"""An order from a quick price to paid, reminded and handed over, with an illness and an urgent order on the way: by the
owner and the cutter at the table, by the sewer on a phone.
"""

import re
from datetime import UTC, date, datetime, timedelta
from threading import Thread

import pytest
from playwright.sync_api import Browser, Page, expect

from demo import post
from shop.accounts.models import User

PASSWORD = "by-the-river"
TITLE = "Choir, concert palazzo"


@pytest.fixture
def gateway(settings):
    device, server = post.start(0)
    settings.PLAVET_POST = f"127.0.0.1:{server.server_address[1]}"
    yield device
    server.shutdown()
    server.server_close()


@pytest.fixture
def come_in(browser: Browser, server, transactional_db):
    """Somebody else of the workshop logs in, on a screen so wide."""
    opened = []

    def log_in(name: str, width: int) -> Page:
        user = User.objects.get(first_name=name)
        user.set_password(PASSWORD)
        user.save()
        context = browser.new_context(base_url=server.url, viewport={"width": width, "height": 844})
        context.set_default_timeout(30_000)
        opened.append(context)
        page = context.new_page()
        page.goto("/")
        page.get_by_label("User name").fill(user.username)
        page.get_by_label("Password").fill(PASSWORD)
        page.get_by_label("Password").press("Enter")
        page.get_by_role("navigation", name="Rooms").wait_for()
        return page

    yield log_in
    for context in opened:
        context.close()


def day(later: int) -> str:
    return str(date.today() + timedelta(days=later))


def test_from_a_quick_price_to_handed_over_with_an_illness_and_an_urgent_order(
    inside: Page, come_in, worker, gateway
):  # fmt: skip
    page = inside
    # It is noon in the workshop whenever this is run: nobody is written to at night.
    page.goto("/settings")
    with page.expect_response(re.compile("/api/workshop")):
        page.get_by_label("Time zone").select_option(f"Etc/GMT{datetime.now(UTC).hour - 12:+d}")
    page.goto("/money/prices")
    page.get_by_label("Currency").select_option("EUR")
    page.get_by_label("An hour of work").fill("32,50")
    page.get_by_role("button", name="Keep these prices").click()
    expect(page.get_by_label("An hour of work")).to_have_value("32.50")
    page.goto("/money/quick")
    page.get_by_role("button", name="What would it cost?").click()
    expect(page.get_by_role("region", name="The price").get_by_text(re.compile("^€.* to €"))).to_be_visible()

    # The price of an order of the bench is agreed, a deposit taken.
    page.get_by_role("link", name="Bench").click()
    first = page.get_by_role("listitem").filter(has_text="Marit Sol").first
    first.get_by_text("More", exact=True).click()
    first.get_by_role("link", name="Money").click()
    page.get_by_role("button", name=re.compile("^Agree €")).click()
    paid = page.get_by_role("region", name="Paid")
    paid.get_by_label("Amount").fill("20")
    paid.get_by_role("button", name="Take it").click()
    expect(paid.get_by_text("€20.00", exact=True)).to_be_visible()
    of_order = page.url.rsplit("/", 1)[0]

    # The cutter has cut it, and is ill from tomorrow on: what that moves is seen first.
    cutter = come_in("Hild", 1280)
    cutter.get_by_text("More", exact=True).first.click()
    cutter.get_by_label("State").first.select_option(label="ready")
    cutter.get_by_role("button", name="Take the last state back").first.click()
    cutter.goto("/week/hours")
    cutter.get_by_label("Who").select_option(label="Hild")
    cutter.get_by_label("From").fill(day(1))
    cutter.get_by_label("To (left out: that day alone)").fill(day(3))
    cutter.get_by_role("button", name="What would move?").click()
    expect(cutter.get_by_role("status").get_by_text(re.compile("broken by it"))).to_be_visible()
    cutter.get_by_role("button", name="Note it").click()
    away = cutter.get_by_role("region", name="Days away").get_by_role("listitem")
    expect(away.filter(has_text="Hild")).to_be_visible()

    # Somebody needs theirs at once: asked on the week, then its ticket is put first.
    page.goto("/week")
    asked = page.get_by_role("region", name="Could we promise it?")
    asked.get_by_label("For", exact=True).fill(day(20))
    asked.get_by_role("button", name="Ask").click()
    expect(asked.get_by_text("can be promised: it is done on")).to_be_visible()
    board = page.get_by_role("region", name="Who does what when")
    tickets = board.get_by_role("region", name="Ivo").get_by_role("button")
    tickets.first.focus()
    page.keyboard.press("Enter")
    order = page.get_by_role("region", name="The order")
    order.get_by_role("button", name="Move: sew").press("Enter")
    move = page.get_by_role("region", name="Move it")
    expect(move.get_by_role("heading")).to_be_focused()
    move.get_by_role("combobox", name="To").select_option(label="Pelle")
    expect(move.get_by_role("alert")).to_contain_text("Pelle does not do this: sew. Say under Hours what Pelle does.")
    move.get_by_role("combobox", name="To").select_option(label="Sanna")
    move.get_by_label("No sooner than").fill(day(2))
    expect(move.get_by_text(re.compile("^Sanna has it done on"))).to_be_visible()
    move.get_by_role("button", name="Move it").click()
    expect(move).to_have_count(0)
    expect(order.get_by_role("row", name=re.compile("^sew Sanna"))).to_be_visible()
    expect(page.get_by_role("heading", name="Week")).to_contain_text("by the schedule kept on")
    # And one by the mouse, dragged to somebody's day, looked at and left.
    to = board.get_by_role("region", name="Ivo").get_by_role("button").last
    board.get_by_role("region", name="Sanna").get_by_role("button").first.drag_to(to)
    expect(move.get_by_role("combobox", name="To")).to_have_value(re.compile("."))
    move.get_by_role("button", name="Leave it where it is").click()
    expect(move).to_have_count(0)

    # The sewer, on a phone, sees the week and sews; of money nothing is shown.
    sewer = come_in("Ivo", 390)
    sewer.goto("/week")
    expect(sewer.get_by_role("region", name="Ivo").get_by_role("button").first).to_be_visible()
    sewer.goto(f"{of_order}/sewing")
    for k in range(3):
        sewer.get_by_role("button", name=re.compile(": done$")).first.click()
        expect(sewer.get_by_text(f"{k + 1} of ", exact=False).first).to_be_visible()
    sewer.get_by_role("link", name="Bench").click()
    expect(sewer.get_by_text("Marit Sol").first).to_be_visible()
    expect(sewer.get_by_role("link", name="Money")).to_have_count(0)
    sewer.goto(f"{of_order}/money")
    expect(sewer.get_by_role("alert")).to_contain_text("This is for an owner or a cutter")

    # It is ready: its client is reminded, pays the rest and takes it along.
    page.get_by_role("link", name="Bench").first.click()
    page.get_by_role("link", name="Clients").click()
    page.get_by_role("link", name="Marit Sol").click()
    page.get_by_label("Agreed to be reminded").check()
    page.get_by_role("button", name="Save").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    page.get_by_role("link", name="Bench").click()
    first.get_by_text("More", exact=True).click()
    first.get_by_label("State").select_option(label="ready")
    expect(first.get_by_text("ready", exact=True).first).to_be_visible()
    page.goto("/reminders")
    page.get_by_role("button", name="Remind Marit Sol").click()
    outbox = page.get_by_role("region", name="Outbox")
    expect(outbox.get_by_text("waits until")).to_be_visible()
    thread = Thread(target=worker, args=("post",))
    thread.start()
    thread.join()
    expect(outbox.get_by_text(re.compile("^sent "))).to_be_visible()
    [message] = gateway.delivered.values()
    assert re.search(r"is ready to be fetched \(Choir, concert palazzo\).*€", message["text"])
    page.goto(f"{of_order}/money")
    paid.get_by_role("button", name=re.compile("^All of it")).click()
    paid.get_by_role("radio", name="Is taken along").check(force=True)
    paid.get_by_role("button", name="Take it").click()
    expect(paid.get_by_role("heading", name="Nothing is open")).to_be_visible()
    page.get_by_role("link", name="Bench").click()
    expect(page.get_by_text("Joren Aak").first).to_be_visible()
    expect(page.get_by_text("Marit Sol")).to_have_count(0)
