"""Reminders as a workshop has them: agreed to on the card, due, sent once the worker comes, by the simulated gateway."""

import re
from datetime import UTC, datetime
from threading import Thread

import pytest
from playwright.sync_api import Page, expect

from demo import post


@pytest.fixture
def gateway(settings):
    device, server = post.start(0)
    settings.PLAVET_POST = f"127.0.0.1:{server.server_address[1]}"
    yield device
    server.shutdown()
    server.server_close()


def test_who_has_agreed_is_reminded_that_it_is_ready_and_who_has_not_is_not(inside: Page, worker, gateway):
    page = inside
    # It is noon in the workshop whenever this is run: nobody is written to at night.
    page.goto("/settings")
    with page.expect_response(re.compile("/api/workshop")):
        page.get_by_label("Time zone").select_option(f"Etc/GMT{datetime.now(UTC).hour - 12:+d}")
    page.get_by_role("link", name="Bench").click()
    page.get_by_text("More", exact=True).first.click()
    page.get_by_label("State").first.select_option(label="ready")
    expect(page.get_by_text("ready", exact=True).first).to_be_visible()
    page.get_by_role("link", name="Money").first.click()
    page.get_by_role("link", name="Reminders").click()
    due = page.get_by_role("region", name="Due")
    expect(due.get_by_text("Not sent: not agreed to be written to")).to_be_visible()
    due.get_by_role("link", name="The card").click()
    page.get_by_label("Agreed to be reminded").check()
    page.get_by_role("button", name="Save").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    page.goto("/reminders")
    due.get_by_role("button", name="Remind Marit Sol").click()
    expect(due.get_by_text("Nothing is due.")).to_be_visible()
    outbox = page.get_by_role("region", name="Outbox")
    expect(outbox.get_by_text("waits until")).to_be_visible()
    thread = Thread(target=worker, args=("post",))
    thread.start()
    thread.join()
    expect(outbox.get_by_text(re.compile("^sent "))).to_be_visible()
    [message] = gateway.delivered.values()
    assert message == {
        "to": "0555 014 220",
        "text": "Harbour Lane Workshop: your order is ready to be fetched (Choir, concert palazzo).",
    }
