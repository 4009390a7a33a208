"""The week as an owner has it: somebody falls ill, a day is asked for, a new schedule is looked at and kept."""

import re
from datetime import UTC, datetime, timedelta
from threading import Thread

from playwright.sync_api import Page, expect


def test_somebody_is_ill_a_day_is_asked_for_and_a_new_schedule_is_kept(inside: Page, worker):
    page = inside
    # It is ten in the evening in the workshop whenever this is run: of today nothing is left.
    now = datetime.now(UTC)
    later = 22 - now.hour if now.hour >= 8 else -2 - now.hour
    today = (now + timedelta(hours=later)).date()
    page.goto("/settings")
    page.get_by_label("Time zone").select_option(f"Etc/GMT{-later:+d}")
    page.goto("/")
    page.get_by_role("link", name="Week").click()
    expect(page.get_by_role("heading", name="Week")).to_be_visible()
    ivo = page.get_by_role("region", name="Ivo")
    expect(ivo.get_by_role("button").first).to_be_visible()

    # A wrong time is refused in words, and stays as it was typed.
    page.get_by_role("link", name="Hours").click()
    monday = page.get_by_label("Monday, Hild")
    monday.fill("8 to 12")
    page.get_by_role("form", name="Hild").get_by_role("button", name="Keep these hours").click()
    expect(page.get_by_role("alert")).to_contain_text("On Monday 8 is no time of the day. Write it like 08:30.")
    assert monday.input_value() == "8 to 12"
    monday.fill("07:30-12:00")
    page.get_by_role("form", name="Hild").get_by_role("button", name="Keep these hours").click()
    expect(page.get_by_label("Monday, Hild")).to_have_value("07:30 to 12:00")

    # Her own week, for a calendar program: an address that is shown once and can be ended.
    page.get_by_role("button", name="A calendar address: Hild").click()
    address = page.get_by_label("For Hild's calendar program")
    expect(address).to_have_value(re.compile(r"/api/calendar/.+\.ics$"))
    page.get_by_role("button", name="End the address: Hild").click()
    expect(address).to_have_count(0)

    page.get_by_label("Who").select_option(label="Ivo")
    page.get_by_label("From").fill(str(today))
    page.get_by_label("To (left out: that day alone)").fill(str(today + timedelta(days=30)))
    page.get_by_label("Why").fill("ill")
    page.get_by_role("button", name="Note it").click()
    expect(page.get_by_text("ill", exact=False).first).to_be_visible()
    page.get_by_role("main").get_by_role("link", name="Week").click()
    expect(ivo.get_by_text("away").first).to_be_visible()
    expect(ivo.get_by_role("button")).to_have_count(0)

    # One of the tickets is opened, its fitting is agreed, and asked for is another.
    ticket = page.get_by_role("region", name="Ebba").get_by_role("button").first
    ticket.press("Enter")
    of_order = page.get_by_role("region", name="The order")
    expect(of_order.get_by_role("row", name=re.compile("press and pack"))).to_be_visible()
    of_order.get_by_label("The client comes to be fitted on").fill(str(today + timedelta(days=20)))
    expect(of_order.get_by_role("row", name=re.compile("fitting"))).to_be_visible()
    asked = page.get_by_role("region", name="Could we promise it?")
    asked.get_by_label("For", exact=True).fill(str(today + timedelta(days=40)))
    asked.get_by_role("button", name="Ask").click()
    expect(asked.get_by_text("can be promised: it is done on")).to_be_visible()
    asked.get_by_label("For", exact=True).fill(str(today))
    asked.get_by_role("button", name="Ask").click()
    expect(asked.get_by_text("cannot be promised")).to_be_visible()

    new = page.get_by_role("region", name="A new schedule")
    new.get_by_role("button", name="Make one").click()
    expect(new.get_by_text("It is being made.")).to_be_visible()
    thread = Thread(target=worker)
    thread.start()
    thread.join()
    expect(new.get_by_text(re.compile("No schedule breaks fewer than"))).to_be_visible()
    new.get_by_role("button", name="Go by it").click()
    expect(new.get_by_text("This is what you go by now.")).to_be_visible()
    expect(page.get_by_role("heading", name="Week")).to_contain_text("by the schedule kept on")
