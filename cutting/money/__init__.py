"""What an order costs and what is paid of it: amounts are Decimal, of one currency, and every line keeps its sum."""

from cutting.money.amounts import digits_of, read_amount, read_percent, rounded, tidy
from cutting.money.changes import Change, changes
from cutting.money.lines import (
    BY_THE_PIECE,
    Line,
    LineCode,
    Per,
    cloth_line,
    extra_line,
    notion_lines,
    work_lines,
)
from cutting.money.paying import balance, paid, signed
from cutting.money.quoting import Discount, Quote, Terms, quote_of, read_discount
from cutting.money.ranges import Driver, drivers

__all__ = [
    "BY_THE_PIECE", "Change", "Discount", "Driver", "Line", "LineCode", "Per", "Quote", "Terms", "balance", "changes",
    "cloth_line", "digits_of", "drivers", "extra_line", "notion_lines", "paid", "quote_of", "read_amount",
    "read_discount", "read_percent", "rounded", "signed", "tidy", "work_lines",
]  # fmt: skip
