"""What is paid of an order: amounts that stay, less than nothing where money was given back or a mistake is undone."""

from collections.abc import Iterable
from decimal import Decimal

from cutting.errors import refuse
from cutting.money.quoting import NOTHING
from cutting.where import Where


def paid(amounts: Iterable[Decimal]) -> Decimal:
    """What came in and was not given back; the same in any order."""
    return sum(amounts, NOTHING)


def balance(total: Decimal, amounts: Iterable[Decimal]) -> Decimal:
    """What is still to be paid; less than nothing where there is to be given back."""
    return total - paid(amounts)


def signed(amount: Decimal, back: bool, before: Iterable[Decimal], where: Where) -> Decimal:
    """What changes hands, with its sign: `back` is given back. Raises CuttingError: amount.nothing, amount.refund where
    that is more than was paid `before`.
    """
    if amount <= 0:
        raise refuse("amount.nothing", where)
    if back and amount > paid(before):
        raise refuse("amount.refund", where)
    return -amount if back else amount
