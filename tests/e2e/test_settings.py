"""What a workshop and a person settle, through the page."""

import re
from datetime import date

from playwright.sync_api import Page, expect

from demo import people
from shop.accounts.models import User
from shop.orders.unit import write_out
from tests.e2e.conftest import wait_until_idle


def test_light_keys_heading_and_allowances_are_settled_and_hold(inside: Page):
    page = inside
    page.get_by_role("link", name="Settings", exact=True).click()
    page.get_by_text("Dim", exact=True).last.click()
    expect(page.locator("html")).to_have_attribute("data-light", "dim")
    page.get_by_label("Heading on paper").fill("Quay 3, old harbour")
    page.get_by_role("group", name="Trousers").get_by_label("Side").fill("9")
    page.keyboard.press("Tab")
    expect(page.get_by_role("alert").filter(has_text="9″")).to_be_visible()
    page.get_by_role("group", name="Trousers").get_by_label("Side").fill("1 1/4")
    page.keyboard.press("Tab")
    expect(page.get_by_role("alert")).to_have_count(0)
    page.get_by_role("group", name="Keys by themselves").get_by_text("Off").click()
    page.reload()
    expect(page.locator("html")).to_have_attribute("data-light", "dim")
    expect(page.get_by_label("Heading on paper")).to_have_value("Quay 3, old harbour")
    expect(page.get_by_role("group", name="Trousers").get_by_label("Side")).to_have_value("1 1/4")
    page.get_by_role("link", name="Bench").click()
    page.get_by_role("link", name="Mark").first.click()
    call = page.locator("[data-call-n]")
    expect(call).to_have_attribute("data-call-n", "1")
    page.keyboard.press("a")
    page.keyboard.press("ArrowRight")
    expect(call).to_have_attribute("data-call-n", "2")
    expect(page.get_by_role("table", name="All calls")).to_have_count(0)
    # What is heard is the name and the number, and the tab says where one is.
    expect(page.locator("[data-announced]")).to_have_text(
        re.compile(r"^Top line\. \d+.* from the cut end of the cloth")
    )
    assert re.fullmatch(rf"Mark, .+, {people.ORDERS[0]['title']} · Plavet", page.title())
    page.goto(page.url.replace("/mark", "/calls"))
    expect(page.get_by_text("Quay 3, old harbour")).to_be_visible()
    cloth = page.url.replace("/calls", "/cloth")
    page.goto("/money/prices")
    page.get_by_label("Currency").select_option("SEK")
    page.get_by_role("button", name="Keep these prices").click()
    expect(page.get_by_text("The prices are kept")).to_have_count(1)
    page.goto(cloth)
    page.get_by_text("Bought and washed").click()
    page.get_by_label("Price of one yard").fill("6.20")
    page.keyboard.press("Tab")
    expect(page.get_by_text(re.compile(r"Costs \d+\.\d\d SEK"))).to_be_visible()


def test_the_day_it_is_is_the_workshops(inside: Page):
    """Kiritimati is 25 hours before Pago Pago: it never is the same day in both."""
    page = inside
    days = []
    for zone in ("Pacific/Kiritimati", "Pacific/Pago_Pago"):
        page.goto("/settings")
        page.get_by_label("Time zone").select_option(zone)
        wait_until_idle()
        page.goto("/new")
        days.append(date.fromisoformat(page.get_by_label("Promised for").input_value()))
    assert (days[0] - days[1]).days in (1, 2)


def test_the_unit_turns_and_cloth_keeps_its_width(inside: Page):
    page = inside
    before = page.context.new_page()
    before.goto("/")
    before.get_by_role("link", name="Mark").first.click()
    before.get_by_role("link", name=re.compile("Cloth")).first.click()
    width = before.get_by_label("Width, selvedge to selvedge")
    expect(width).to_have_value(re.compile(r"^\d+$"))
    page.get_by_role("link", name="Settings", exact=True).click()
    page.get_by_text("Centimetres", exact=True).click()
    expect(page.get_by_text("gets it written out now")).to_be_visible()
    wait_until_idle()
    write_out(User.objects.get(username=people.OWNER_NAME).workshop_id)
    expect(page.get_by_text("keep their size")).to_be_visible()
    expect(page.get_by_role("group", name="Trousers").get_by_text("cm", exact=True)).to_have_count(4)
    page.get_by_role("link", name="Bench").click()
    page.get_by_role("link", name="Mark").first.click()
    expect(page.locator("[data-call]").get_by_role("img")).to_have_attribute("aria-label", re.compile("centimetres$"))
    page.get_by_role("link", name=re.compile("Cloth")).first.click()
    expect(page.get_by_label("Width, selvedge to selvedge")).to_have_value(re.compile(r"^\d+ in$"))
    # A page that was open before the turn: what is typed there is of the old unit, and is not taken for the new one.
    width.fill("50")
    width.press("Enter")
    expect(before.get_by_role("alert").first).to_contain_text("centimetres now")
    expect(width).to_have_value("50 in")
    width.press("Enter")
    expect(before.get_by_role("img", name=re.compile("^The depth is 63.5 centimetres"))).to_be_visible()
