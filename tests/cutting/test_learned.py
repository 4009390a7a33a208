"""What a workshop learns from its work: minutes that follow the ticks, corrections that recur. Worked by hand."""

import pytest

from cutting.fitting import Fitted, recurring
from cutting.sewing import own_minutes


@pytest.mark.parametrize(
    ("usual", "taken", "own"),
    [
        (12, [], 12), (12, [8], (8 + 5 * 12) / 6), (12, [8] * 5, 10), (12, [8] * 20, (20 * 8 + 60) / 25),
        # The last twenty count, whatever was before them.
        (12, [8] * 20 + [30] * 50, (20 * 8 + 60) / 25),
        # Broken off for something else: over three times the usual.
        (12, [36.1, 8], (8 + 60) / 6), (12, [36], (36 + 60) / 6), (12, [0, -3], 12),
        # Pressed at once by mistake.
        (12, [1.1, 0.02], 12), (12, [1.1, 8], (8 + 60) / 6),
        # One long one among many hardly shows: the middle is taken, not the mean.
        (12, [10, 10, 10, 30, 10], (5 * 10 + 60) / 10),
        # A house pattern has no usual time.
        (0, [40, 50, 60], 50), (0, [], 0),
    ],
)  # fmt: skip
def test_minutes_are_drawn_towards_what_it_took_here(usual, taken, own):
    assert own_minutes(usual, taken).minutes == pytest.approx(own)


def test_what_recurs_is_said_from_five_fittings_on_by_kind_and_method():
    seat = [Fitted("lower", "quarter-hip", {"seat_raise": mm}) for mm in (6.35, 12.7, 19.05)]
    other = [Fitted("lower", "quarter-hip", {"hip_ease": 12.7}), Fitted("lower", "quarter-hip", {})]
    assert recurring(seat) == []
    assert recurring([*seat, other[0]]) == []
    [found] = recurring([*seat, *other])
    assert (found.choice, found.found, found.fittings) == ("seat_raise", 3, 5)
    assert (found.middle, found.least, found.most) == (pytest.approx(12.7), 6.35, 19.05)
    # Another method is another matter.
    apart = [Fitted("lower", "half-thigh", one.changes) for one in seat]
    assert recurring([*seat, *apart]) == []
    # What was found once is no rule.
    assert [one.choice for one in recurring([*seat, *other, *other])] == ["seat_raise", "hip_ease"]
