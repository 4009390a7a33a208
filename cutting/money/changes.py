"""What a newer quote has otherwise than the one that was agreed."""

from dataclasses import dataclass

from cutting.money.lines import Line
from cutting.money.quoting import Quote


@dataclass(frozen=True)
class Change:
    """A line as it was and as it is; none where there was or is none."""

    was: Line | None
    now: Line | None


def changes(was: Quote, now: Quote) -> list[Change]:
    """Each line whose amount is another, in the order of the newer quote, what fell away last."""
    before, after = ({one.key: one for one in quote.lines} for quote in (was, now))
    keys = dict.fromkeys([*after, *before])
    pairs = [Change(before.get(key), after.get(key)) for key in keys]
    return [one for one in pairs if one.was is None or one.now is None or one.was.amount != one.now.amount]
