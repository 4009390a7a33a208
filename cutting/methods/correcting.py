"""A client's corrections from fittings: their own layer, over what cloth, style and method make usual, under what is
chosen for the garment.
"""

from collections.abc import Callable, Collection, Mapping
from dataclasses import replace
from operator import attrgetter
from typing import Any, TypeVar

from cutting.body import Body, Correction
from cutting.codes import FindingCode, ProblemCode
from cutting.errors import CuttingError, Problem
from cutting.finding import Finding
from cutting.lengths import Corrected, Fixed, mm, total
from cutting.methods.ask import Ask
from cutting.methods.choices import KNEED, LOWER, OF_BOTH, Choice
from cutting.methods.registry import METHODS
from cutting.methods.styles import STYLES
from cutting.methods.upper import OF_THE_SEAM, QUARTER_BUST, TOPS, WAIST_LEVELS, TopAsk, draw_top
from cutting.methods.upper.choices import TOP
from cutting.methods.upper.resolve import OF_SLEEVE
from cutting.where import choice, measure

Asked = TypeVar("Asked", Ask, TopAsk)
OF_SUMS: Mapping[str, str] = {
    "crotch_extension": "extension", "back_tip": "tip", "back_extension": "back_extension", "seat_raise": "lift",
    "centre_drop": "drop", "centre_slant": "slant", "length": "length", "knee_width": "knee_round",
    "hem_width": "hem_round", "neck_width": "neck_width", "front_neck_depth": "front_neck",
    "back_neck_depth": "back_neck", "shoulder_slope": "slope", "back_dart_intake": "back_darts.intake",
    "top_length": "back_length",
}  # fmt: skip
"""Where a rule gives what is usual of a choice: the sum that it comes to."""
ROUND = 0.001
"""The ends of a choice are in mm as a machine has them, corrections exact: so much over an end is at it."""
BELOW_NOTHING = ("crotch_ease", "waist_ease", "armhole_lower")
"""What may come out under nothing: as far as it may be over it."""


def lengths_among(choices: Mapping[str, Choice]) -> tuple[str, ...]:
    """The choices that are lengths: a correction can change them."""
    return tuple(key for key, one in choices.items() if one.group and one.kind in ("length", "rule-or-length"))


def correct_lower(ask: Ask, body: Body, method: str) -> tuple[Ask, tuple[Finding, ...]]:
    """What is asked of a lower garment with the body's corrections. Raises CuttingError as `_corrected`."""
    how = METHODS[method]
    # Where the back's extension has a rule of its own, its crotch point is moved by that.
    stands_for = {} if ask.back_extension == "tip" else {"back_tip": "back_extension"}
    unused = how.unused
    if STYLES[ask.style].leg not in KNEED.among or ask.hem_from != "crease":
        unused += ("leg_inwards",)
    return _corrected(ask, body, "lower", method, LOWER, unused, lambda: how.sums(body, ask), stands_for)


def correct_top(ask: TopAsk, body: Body) -> tuple[TopAsk, tuple[Finding, ...]]:
    """What is asked of a top with the body's corrections; those of a measure are in that. Raises CuttingError as
    `_corrected`.
    """
    unused: tuple[str, ...] = (
        ("top_length", "hip_ease", "side_slit") if TOPS[ask.style].fitted else ("waist_ease", "dart_intake")
    )
    unused += OF_SLEEVE if ask.sleeve == "none" else ()
    unused += OF_THE_SEAM if ask.joined else ()
    ask, said = _corrected(ask, body, "top", QUARTER_BUST, TOP, unused, lambda: draw_top(body, ask).sums, {})
    if any(map(body.has, WAIST_LEVELS)):
        return ask, said
    idle = {key: [one.by for one in body.corrections if one.choice == key] for key in WAIST_LEVELS}
    return ask, (*said, *(
        Finding("correction.unused", "note", measure(key), {"by": total(*by), "kind": "top"})
        for key, by in idle.items() if by
    ))  # fmt: skip


def _corrected(
    ask: Asked, body: Body, kind: str, method: str, choices: Mapping[str, Choice], unused: tuple[str, ...],
    sums: Callable[[], Any], stands_for: Mapping[str, str],
) -> tuple[Asked, tuple[Finding, ...]]:  # fmt: skip
    """What is asked with the body's corrections in it, and what is said of those that change nothing.

    `sums` works out what the rules come to; `stands_for` says which choice is changed instead of another. A rule of the
    house that leads out of a choice's range is left out. Raises CuttingError where the client's own lead there.
    """
    wanted: dict[str, list[Correction]] = {}
    for one in body.corrections:
        holds = one.kind in ("", kind) and one.method in ("", method) and one.side in ("both", body.side)
        if holds and one.choice in lengths_among(choices):
            wanted.setdefault(stands_for.get(one.choice, one.choice), []).append(one)
    if not wanted:
        return ask, ()
    made: Any = ask
    said: list[Finding] = []
    changes: dict[str, Corrected] = {}
    problems: list[Problem] = []
    known: Any = None
    for key, several in wanted.items():
        by = tuple(one.by for one in several)
        own = getattr(made, key, None)
        # A rule that is chosen says how the number is worked out; a length is final.
        final = _is_chosen(key, made.chosen) and isinstance(own, Fixed)
        if final or key in unused:
            code: FindingCode = "correction.unused" if key in unused else "correction.chosen"
            said.append(Finding(code, "note", choice(key), {"by": total(*by), "kind": kind}))
            continue
        if not isinstance(own, Fixed):
            known = known or (sums() if key in OF_SUMS else None)
            own = attrgetter(OF_SUMS[key])(known) if key in OF_SUMS else None
        if own is None:
            said.append(Finding("correction.unused", "note", choice(key), {"by": total(*by), "kind": kind}))
            continue
        whole = Corrected.of(own, by)
        least, most = limits(choices, key)
        if not least <= whole.size <= most and any(one.house for one in several):
            rules = [one.by for one in several if one.house]
            said.append(Finding("correction.left_out", "note", choice(key), {"by": total(*rules), "kind": kind}))
            whole = Corrected.of(own, tuple(one.by for one in several if not one.house))
            if not whole.by:
                continue
        if not least <= whole.size <= most:
            short: ProblemCode = "correction.small" if whole.size < least else "correction.large"
            room = mm(round(abs((least if whole.size < least else most) - own.mm), 3))
            problems.append(Problem(short, choice(key), {"by": total(*by), "room": room}))
        changes[key] = whole
    if problems:
        raise CuttingError(*problems)
    fitted = "seat_raise" in changes and getattr(made, "crotch_fit", "") == "measured"
    # A height that was found for the client's own crotch is found no more.
    also = {"chosen": (*made.chosen, "seat_raise")} if fitted else {}
    return replace(made, **changes, **also), tuple(said)


def limits(choices: Mapping[str, Choice], key: str) -> tuple[float, float]:
    """From where to where a corrected choice may go, in mm."""
    one = choices[key]
    return (-one.most if key in BELOW_NOTHING else one.least) - ROUND, one.most + ROUND


def _is_chosen(key: str, chosen: Collection[str]) -> bool:
    """Whether a choice is made for the garment, by itself or for both panels at once."""
    return key in chosen or any(one in chosen for one in OF_BOTH if key in (f"front_{one}", f"back_{one}"))
