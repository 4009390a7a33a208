"""The log-in: wrong words are said and kept, right ones open the workshop."""

from demo import people


def test_a_wrong_password_is_said_and_the_name_stays(page):
    page.goto("/")
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill("chalk")
    page.get_by_role("button", name="Open the workshop").click()
    assert "do not belong together" in page.get_by_role("alert").inner_text()
    assert page.get_by_label("User name").input_value() == people.OWNER_NAME
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.get_by_label("Password").press("Enter")
    page.get_by_text(people.WORKSHOP_NAME).first.wait_for()
