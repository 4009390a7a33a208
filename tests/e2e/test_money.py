"""Money as an owner and a cutter have it: a quick price, an order agreed, a deposit, a mistake, paid to the last."""

import re

from playwright.sync_api import Page, expect


def test_from_a_quick_price_to_paid_with_a_mistake_on_the_way(inside: Page):
    page = inside
    page.get_by_role("link", name="Money").click()
    expect(page.get_by_text("Nothing is open.")).to_be_visible()
    page.get_by_role("link", name="Prices").click()
    page.get_by_label("Currency").select_option("EUR")
    page.get_by_label("An hour of work").fill("a lot")
    page.get_by_role("button", name="Keep these prices").click()
    expect(page.get_by_role("alert")).to_contain_text("Type it like 12.50")
    assert page.get_by_label("An hour of work").input_value() == "a lot"
    page.get_by_label("An hour of work").fill("32,50")
    page.get_by_label("Invisible zip, each").fill("3.60")
    page.get_by_role("button", name="Keep these prices").click()
    expect(page.get_by_label("An hour of work")).to_have_value("32.50")

    page.get_by_role("main").get_by_role("link", name="Money").click()
    page.get_by_role("link", name="A quick price").click()
    page.get_by_label("Hip").fill("4")
    page.get_by_label("Its price, a yard").fill("14")
    page.get_by_role("button", name="What would it cost?").click()
    expect(page.get_by_role("alert")).to_contain_text("Nobody has such a hip")
    page.get_by_label("Hip").fill("41")
    page.get_by_role("button", name="What would it cost?").click()
    price = page.get_by_role("region", name="The price")
    expect(price.get_by_text(re.compile("^€.* to €"))).to_be_visible()
    expect(price.get_by_text("Fitting", exact=True)).to_be_visible()

    # An order of the bench: its price is agreed as it stands, with an extra.
    page.get_by_role("link", name="Bench").click()
    page.get_by_text("More", exact=True).first.click()
    page.get_by_role("main").get_by_role("link", name="Money").nth(1).click()
    costs = page.get_by_role("table", name="What it costs")
    expect(costs.get_by_role("row", name=re.compile("^Mark and cut"))).to_contain_text("32.50 ÷ 60")
    page.get_by_label("Extra 1", exact=True).fill("Express")
    page.get_by_label("Amount of extra 1").fill("15")
    page.get_by_role("button", name="Reckon with it").click()
    expect(costs.get_by_role("row", name=re.compile("^Express"))).to_contain_text("€15.00")
    page.get_by_role("button", name=re.compile("^Agree €")).click()
    expect(page.get_by_role("heading", name=re.compile("^Agreed for €"))).to_be_visible()

    paid = page.get_by_role("region", name="Paid")
    amount = paid.get_by_label("Amount")
    amount.fill("4000")
    # What is typed is there again after the page was read anew.
    page.reload()
    expect(amount).to_have_value("4000")
    paid.get_by_role("button", name="Take it").click()
    expect(paid.get_by_role("alert")).to_contain_text("more than was agreed")
    paid.get_by_role("button", name="Take it").click()
    expect(paid.get_by_role("heading", name="To be given back")).to_be_visible()
    paid.get_by_role("button", name=re.compile("^A mistake")).click()
    paid.get_by_role("button", name=re.compile("^A mistake")).click()
    expect(paid.get_by_text(re.compile("^against receipt"))).to_be_visible()
    amount.press_sequentially("40")
    amount.press("Enter")
    expect(paid.get_by_text("€40.00", exact=True)).to_be_visible()
    paid.get_by_role("button", name=re.compile("^All of it")).click()
    paid.get_by_role("button", name="Take it").click()
    expect(paid.get_by_role("heading", name="Nothing is open")).to_be_visible()
    with page.expect_download() as receipt:
        paid.get_by_role("link", name=re.compile("^Receipt")).last.click()
    assert re.fullmatch(r"receipt-\d{4}-0004\.pdf", receipt.value.suggested_filename)
    page.get_by_role("link", name="All that is open").click()
    expect(page.get_by_text("Nothing is open.")).to_be_visible()
    expect(page.get_by_role("table", name="Came in, month by month")).to_be_visible()
