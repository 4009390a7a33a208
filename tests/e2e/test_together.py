"""Two people at one order, and the worker at its lay: nothing is lost, the better lay is taken."""

import re
import threading

import pytest
from playwright.sync_api import Page, expect
from procrastinate.contrib.django import app

from demo import people
from shop.orders.models import Garment
from shop.plans.models import LayRun


def station(page: Page, name: str) -> None:
    page.get_by_role("navigation", name="Stations").get_by_role("link", name=name).click()


def test_a_stale_edit_shows_both_values_and_takes_the_chosen_one(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    station(page, "Design")
    page.get_by_text("How it sits").click()
    garment = Garment._base_manager.get(order_id=re.search(r"orders/([^/]+)", page.url)[1])
    garment.choices, garment.version = {"seat": "full"}, garment.version + 1
    garment.save()
    page.get_by_text("Flat", exact=True).click()
    said = page.get_by_role("alert")
    expect(said).to_contain_text("Somebody else changed this meanwhile")
    expect(said).to_contain_text("flat")
    expect(said).to_contain_text("full")
    page.get_by_role("button", name="Keep mine").click()
    expect(said).to_have_count(0)
    expect(page.get_by_role("radio", name="Flat", exact=True)).to_be_checked()
    garment.refresh_from_db()
    assert garment.choices["seat"] == "flat"

    garment.choices, garment.version = {"seat": "usual"}, garment.version + 1
    garment.save()
    page.get_by_text("Full", exact=True).click()
    page.get_by_role("button", name="Take theirs").click()
    expect(page.get_by_role("radio", name="Usual", exact=True).first).to_be_checked()
    garment.refresh_from_db()
    assert garment.choices == {"seat": "usual"}


@pytest.fixture
def worker():
    """A queue worker in a thread, ended when it has nothing left to do."""

    def work() -> None:
        own = app.with_connector(app.connector.get_worker_connector())
        own.run_worker(queues=["lay"], wait=False, install_signal_handlers=False, listen_notify=False)

    return work


def test_the_worker_shortens_the_lay_and_mark_follows(inside: Page, worker):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_text("Call 1 of").wait_for()
    station(page, "Lay")
    row = page.get_by_role("row", name=re.compile("^This lay"))
    before = row.get_by_role("img").get_attribute("aria-label")
    page.get_by_role("button", name="Look for a shorter lay").click()
    expect(page.get_by_role("status").first).to_have_text(re.compile("Waiting|orders tried"))
    thread = threading.Thread(target=worker)
    thread.start()
    expect(page.get_by_text("A shorter lay was found and taken.")).to_be_visible(timeout=30_000)
    thread.join()
    expect(row.get_by_role("img")).not_to_have_attribute("aria-label", before)
    run = LayRun._base_manager.get()
    assert run.state == LayRun.DONE
    assert run.plan["lay"]["length_mm"] < run.plan_run.plan["lay"]["length_mm"]
    station(page, "Mark")
    page.get_by_text("Call 1 of").wait_for()
    page.keyboard.press("ArrowRight")
    page.get_by_text("Call 2 of").wait_for()
    wanted = run.plan["marks"][1]["reads_mm"]
    assert float(page.locator("[data-tape]").get_attribute("data-tape")) == pytest.approx(wanted, abs=0.01)


def test_an_unknown_address_is_said_and_leads_back(inside: Page):
    page = inside
    page.goto("/orders/00000000-0000-4000-8000-000000000000/mark")
    expect(page.get_by_text("There is no such thing in this workshop.")).to_be_visible()
    page.get_by_role("link", name="Back to the Bench").click()
    expect(page.get_by_text(people.WORKSHOP_NAME)).to_be_visible()
    page.get_by_role("link", name="Clients").click()
    expect(page.get_by_text("Marit Sol")).to_be_visible()
    page.get_by_role("button", name="Leave").click()
    expect(page.get_by_label("User name")).to_be_visible()
