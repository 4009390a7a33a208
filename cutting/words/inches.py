"""A text's own inches, said as the tape in use has them: a metric one reads to half a centimetre."""

import re
from fractions import Fraction

from cutting.lengths import Unit, inch, on_tape, show

_AMOUNT = r"(?:[0-9]+ )?[0-9]+/[0-9]+|[0-9]+"
_INCHES = re.compile(rf"\b(?:({_AMOUNT})( to | and ))?({_AMOUNT}) in\b")


def as_taped(text: str, unit: Unit) -> str:
    """The text with `1/2 in` as `1.5 cm`, and `2 to 3 in` as `5 to 7.5 cm`, on a metric tape; as it is on another."""
    if unit != "cm":
        return text

    def said(found: re.Match[str]) -> str:
        first, link, last = found.groups()
        return f"{_bare(first)}{link}{_cm(last)}" if first else _cm(last)

    return _INCHES.sub(said, text)


def _cm(amount: str) -> str:
    with on_tape("cm"):
        return show(inch(sum((Fraction(part) for part in amount.split()), Fraction(0))).value, "cm").text


def _bare(amount: str) -> str:
    return _cm(amount).removesuffix(" cm")
