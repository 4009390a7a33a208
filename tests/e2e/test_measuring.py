"""Measuring as it is done: in the order of taking, a slip caught and mended, on a phone too; the book kept in order."""

import re
from uuid import uuid4

from playwright.sync_api import Page, expect

from demo import people
from demo.tape import main as tape
from shop.accounts.models import User
from shop.clients.models import Client, Overruling, Reading, Sheet, Tape
from shop.clients.sheets import add_reading

PHONE = {"width": 390, "height": 844}


def entry(page: Page):
    return page.get_by_role("textbox", name=re.compile("^Read off the tape"))


def point(page: Page, name: str):
    return page.get_by_role("heading", name=name, exact=True)


def new_order(page: Page, name: str) -> None:
    page.goto("/new")
    page.get_by_label("Client").fill(name)
    page.get_by_label("What is to be made").fill("Crew trousers")
    page.get_by_role("button", name="Add and measure").click()
    point(page, "Waist").wait_for()


def test_a_trouser_session_by_keyboard_with_a_slip_caught(inside: Page):
    page = inside
    new_order(page, "Signe Holm")
    for name, typed in [("Waist", "31"), ("Hip", "40")]:
        point(page, name).wait_for()
        page.keyboard.type(typed)
        page.keyboard.press("Enter")
    point(page, "Thigh").wait_for()
    page.keyboard.type("11 3/4")
    page.keyboard.press("Enter")
    doubted = page.get_by_role("alert")
    expect(doubted).to_contain_text("The thigh of 11 3/4″ does not fit")
    expect(doubted).to_contain_text("Measure again?")
    expect(point(page, "Thigh")).to_be_visible()
    expect(entry(page)).to_be_focused()
    page.keyboard.press("Control+a")
    page.keyboard.type("23 1/2")
    page.keyboard.press("Enter")
    point(page, "Knee").wait_for()
    expect(page.get_by_role("alert")).to_have_count(0)
    for name, typed in [
        ("Knee", "15"), ("Inseam", "30"), ("Waist to hip", "8"), ("Waist to knee", "23 1/2"), ("Outseam", "41"), ("Crotch length", "27"),
        ("Rise, seated", "10 3/4"),
    ]:  # fmt: skip
        point(page, name).wait_for()
        page.keyboard.type(typed)
        page.keyboard.press("Enter")
    page.get_by_text("How it sits").wait_for()
    taken = Reading._base_manager.filter(sheet__client__name="Signe Holm").order_by("created_at")
    assert [one.typed for one in taken if one.key == "thigh"] == ["11 3/4", "23 1/2"]


def test_a_session_on_a_phone_by_touch(inside: Page):
    page = inside
    page.set_viewport_size(PHONE)
    new_order(page, "Even Rask")
    for name, typed, part in [("Waist", "36", "a half"), ("Hip", "42", None), ("Thigh", "12", "a quarter")]:
        point(page, name).wait_for()
        entry(page).fill(typed)
        if part:
            page.get_by_role("button", name=part, exact=True).click()
        page.get_by_role("button", name=re.compile("^Next: ")).click()
    expect(page.get_by_role("alert")).to_contain_text("Measure again?")
    page.get_by_role("button", name="Measured twice, it is right").click()
    expect(page.get_by_text("Measured twice, it is right.", exact=True)).to_be_visible()
    assert Overruling._base_manager.get().key == "thigh"
    page.get_by_role("button", name="Next: knee").click()
    point(page, "Knee").wait_for()
    page.get_by_role("button", name="Skip this point").click()
    page.get_by_role("button", name="Would rather not").click()
    point(page, "Inseam").wait_for()
    expect(page.get_by_role("button", name=re.compile("^knee.*skipped"))).to_be_visible()
    assert page.evaluate("document.documentElement.scrollWidth") <= 390
    button = page.get_by_role("button", name=re.compile("^Next: ")).bounding_box()
    assert button["height"] >= 48
    assert button["y"] + button["height"] <= 844


def test_a_point_by_another_way_and_from_trousers_that_fit(inside: Page):
    page = inside
    new_order(page, "Liv Aasen")
    entry(page).fill("30")
    page.get_by_role("button", name="Next: hip").click()
    point(page, "Hip").wait_for()
    page.get_by_text("Another way").click()
    page.get_by_label(re.compile("Trousers that fit, laid flat")).fill("20 1/4")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name=re.compile("^hip.*40 and a half"))).to_be_visible()
    expect(page.get_by_text("an estimate, not taken on the body")).to_be_visible()
    page.get_by_role("button", name=re.compile("^rise, seated")).click()
    point(page, "Rise, seated").wait_for()
    page.get_by_text("Another way").click()
    expect(page.get_by_role("button", name="Use it")).to_have_count(0)  # an estimate feeds no other
    entry(page).fill("10")
    entry(page).press("Tab")
    page.get_by_role("button", name=re.compile("^hip")).first.click()
    point(page, "Hip").wait_for()
    entry(page).fill("41 less 1")  # read with an inch of ease in it
    entry(page).press("Tab")
    page.get_by_role("button", name=re.compile("^rise, seated")).click()
    page.get_by_text("Another way").click()
    expect(page.get_by_text("hip ÷ 4 = 40 ÷ 4")).to_be_visible()


def test_every_point_of_the_whole_set_is_drawn_with_its_tape(inside: Page):
    page = inside
    page.get_by_role("link", name="Measure").first.click()
    page.get_by_label("To be taken").select_option("full")
    expect(page.get_by_text(re.compile("of 49"))).to_be_visible()
    postures = []
    for k in range(49):
        figure = page.get_by_role("img", name=re.compile("^Where the tape runs"))
        page.locator("aside li button").nth(k).click()
        expect(page.get_by_text(f"{k + 1} of 49")).to_be_visible()
        assert page.locator("[data-tape-path] path").nth(1).get_attribute("d"), k
        postures.append(figure.get_attribute("aria-label").split(". ")[1])
    assert sum(a != b for a, b in zip(postures, postures[1:], strict=False)) == len(set(postures)) - 1 == 4


def test_a_sheet_is_closed_and_corrected_and_the_order_follows(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_text("Call 1 of").wait_for()
    page.get_by_role("navigation", name="Stations").get_by_role("link", name="Measure").click()
    page.get_by_role("button", name="Close the sheet").click()
    page.get_by_role("heading", name=re.compile("closed$")).wait_for()
    page.get_by_role("button", name="Correct it on a new sheet").click()
    expect(page.get_by_text(", a correction")).to_be_visible()
    expect(page.get_by_role("button", name=re.compile("^hip.*41"))).to_be_visible()


def test_the_book_finds_keeps_and_erases(inside: Page):
    page = inside
    page.get_by_role("link", name="Clients").click()
    find = page.get_by_label("Find by name")
    find.fill("marrit soll")
    page.get_by_role("link", name="Marit Sol").click()
    expect(page.get_by_role("row", name=re.compile("^hip"))).to_contain_text("+")
    page.get_by_label("E-mail").fill("marit@choir.test")
    page.get_by_role("button", name="Save").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    assert Client._base_manager.get(name="Marit Sol").email == "marit@choir.test"
    with page.expect_download() as coming:
        page.get_by_role("link", name="As a table (CSV)").click()
    assert "hip" in coming.value.path().read_text()
    page.get_by_role("button", name="Erase…").click()
    page.get_by_role("button", name="Keep").click()
    page.get_by_role("button", name="Erase…").click()
    page.get_by_role("button", name="Erase everything").click()
    expect(page.get_by_text(f"{len(people.ORDERS) - 1} clients")).to_be_visible()
    assert not Client._base_manager.filter(name="Marit Sol").exists()


def test_two_who_measure_at_once_see_both_values(inside: Page):
    page = inside
    page.get_by_role("link", name="Measure").first.click()
    entry(page).wait_for()
    page.get_by_role("button", name=re.compile("^hip")).first.click()
    expect(page.get_by_text(re.compile("^Read: 38 1/2 by Ebba"))).to_be_visible()
    entry(page).fill("38 3/4")
    sheet = Sheet._base_manager.get(client__name__startswith="Tuva")
    mate = User.objects.create(username="mate", first_name="Ivo", workshop=sheet.workshop, role="apprentice")
    add_reading(actor=mate, id=uuid4(), sheet=sheet.id, key="hip", typed="39")
    both = page.get_by_text(re.compile("^Read 2 times, the last counts: 38 1/2 by Ebba.*; 39 by Ivo"))
    expect(both).to_be_visible(timeout=10_000)
    expect(page.get_by_role("button", name=re.compile("^hip.*39 inches"))).to_be_visible()
    expect(entry(page)).to_have_value("38 3/4")
    entry(page).press("Tab")
    expect(page.get_by_text(re.compile("^Read 3 times.*38 3/4 by Ebba"))).to_be_visible()


def test_somebody_new_comes_into_the_book_by_name(inside: Page):
    page = inside
    page.get_by_role("link", name="Clients").click()
    page.get_by_label("Find by name").fill("Runa Strand")
    page.get_by_role("button", name="Add Runa Strand to the book").click()
    page.get_by_role("heading", name="Runa Strand", exact=True).wait_for()
    page.get_by_label("Phone").fill("0555 81")
    page.get_by_role("button", name="Save").click()
    expect(page.get_by_text("Saved.")).to_be_visible()
    expect(page.get_by_text("Not measured yet.")).to_be_visible()
    page.get_by_role("link", name="Clients").click()
    page.get_by_label("Find by name").fill("55581")
    expect(page.get_by_role("link", name="Runa Strand")).to_be_visible()


def test_a_digital_tape_fills_the_field_in_hand_and_may_go_away(inside: Page, server):
    page = inside
    new_order(page, "Dag Moe")
    page.get_by_text("Digital tape", exact=True).click()
    page.get_by_role("button", name="Pair a tape").click()
    expect(page.get_by_text("It is silent now; type by hand.")).to_be_visible()
    code = Tape._base_manager.get().code
    assert tape([code, "33.5"], server.url) == 0
    expect(entry(page)).to_have_value("33.5 in")
    expect(page.get_by_text("Heard: 33.5 in")).to_be_visible()
    page.get_by_role("button", name="Next: hip").click()
    point(page, "Hip").wait_for()
    assert tape([code, "410", "--slip", "none"], server.url) == 0
    expect(entry(page)).to_have_value("410 in")
    page.get_by_role("button", name="Next: thigh").click()
    expect(page.get_by_role("alert")).to_contain_text("too large for a hip")
    expect(page.get_by_role("button", name=re.compile("^waist.*33 and a half"))).to_be_visible()
    page.get_by_role("button", name="Put it away").click()
    expect(page.get_by_role("button", name="Pair a tape")).to_be_visible()
    assert tape([code, "41"], server.url) == 1
