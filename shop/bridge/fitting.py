"""What is seen at a fitting, what cures it on an order's draft, and corrections as a job has them."""

from collections.abc import Iterable
from decimal import Decimal
from fractions import Fraction
from typing import Any, Literal, TypeAlias

from pydantic import BaseModel, ConfigDict, Field

from cutting.body import Body, Side
from cutting.errors import CuttingError
from cutting.fitting import (
    SIGNS,
    VIEWS,
    Fitted,
    Recurring,
    Sign,
    Tried,
    alteration_of,
    corrections_of,
    recurring,
    tried,
)
from cutting.garments import Garment
from cutting.kinds import KINDS, PAIRS, kind_of
from cutting.lengths import on_tape, read
from cutting.words import with_numbers
from shop.bridge.designing import in_hand
from shop.bridge.moving import Lines
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words
from shop.errors import ShopError

ROUND = Decimal("0.00001")
"""To so many mm a correction is kept."""
RecurringChange: TypeAlias = Recurring
OfSide: TypeAlias = Side
Change: TypeAlias = dict[str, str]
"""A choice, and by how many mm it is changed, as text."""


class SignError(ShopError):
    """A sign or a cure that there is not, or not of this garment."""

    code = "sign"


class SignOut(BaseModel):
    """Something seen on a kind of garment, and what is pinned for it; one that is `sided` may be of one side alone."""

    key: str
    kind: str
    name: str
    pinned: str
    sided: bool


class ViewOut(BaseModel):
    """What is seen from one side."""

    key: str
    name: str
    signs: list[SignOut]


class ChangeOut(BaseModel):
    """A choice that a correction changes, by so many mm; `says` is where the amount of a cure comes from."""

    choice: str
    name: str
    by_mm: float
    says: str = ""


class NumberMovedOut(BaseModel):
    """A number as it was and as it would be, each with its sum."""

    model_config = ConfigDict(populate_by_name=True, serialize_by_alias=True)

    key: str
    name: str
    was_mm: float
    now_mm: float
    formula: str
    with_: str = Field(alias="with")


class MovedOut(BaseModel):
    """A panel's lines as they would be, and as they stand; `view` is what differs: left, top, across, down. In mm."""

    panel: str
    lines: Lines
    was: Lines
    view: list[float]


class CureOut(BaseModel):
    """A cure tried on the draft: what it changes there, or why it cannot be; what this garment can still take."""

    key: str
    name: str
    changes: list[ChangeOut]
    numbers: list[NumberMovedOut]
    moved: MovedOut | None
    says: str
    state: Literal["changes", "nothing", "refused"]


def views(unit: str) -> list[ViewOut]:
    """Every sign by the side it is seen from."""
    say, shown = words(), as_unit(unit)
    return [
        ViewOut(key=view, name=say.view_name(view), signs=[
            SignOut(key=one.code, kind=one.kind, name=said.name, pinned=said.pinned, sided=one.sided)
            for one in SIGNS.values() if one.view == view for said in [say.sign_words(one.code, shown)]
        ]) for view in VIEWS
    ]  # fmt: skip


def cures(
    job: dict[str, Any], garment: str, half: str, sign: str, pinned: str, since: str, side: Side
) -> list[CureOut]:
    """Each cure of a sign, tried on a garment of a job, or on one side of it. Raises SignError, and CoreRefusal where
    what was pinned is no length or the garment is not drafted.
    """
    unit = as_unit(job["unit"])
    seen, size = _sign(sign, side), _pinned(pinned, unit)
    made = in_hand(job, garment, half)
    if made.kind.name != seen.kind:
        raise SignError("This is seen on another kind of garment. Choose what is seen on this one.")
    try:
        body = made.body()
        with on_tape(unit):
            ask = made.kind.resolve(made.method, made.style, made.read(), made.cloth, made.joined)

            def draft(worn: Body) -> Garment:
                return made.kind.draft(made.style, made.method, worn, ask)

            return [_cure(one, seen, size, unit) for one in tried(seen, size, since, body, draft, side)]
    except CuttingError as error:
        raise CoreRefusal(error, unit) from None


def changes_of(sign: str, cure: str, pinned: str, unit: str, since: str, side: Side) -> tuple[str, list[Change]]:
    """A cure as what is kept of it: the kind of garment, and each choice with its mm. Raises as `cures`."""
    seen = _sign(sign, side)
    found = next((one for one in seen.cures if one.code == cure), None)
    if found is None:
        raise SignError("This sign has no such cure. Read the page again.")
    with on_tape(as_unit(unit)):
        made = corrections_of(found, seen.kind, _pinned(pinned, as_unit(unit)), since)
    return seen.kind, [{"choice": one.choice, "by": _text(one.by.size)} for one in made]


def job_corrections(kind: str, changes: list[Change], since: str, garment: str, side: str) -> list[dict[str, str]]:
    """Kept changes as a job has them; of one garment alone where it is named, of one side where it is not both."""
    only = ({"garment": garment} if garment else {}) | ({"side": side} if side != "both" else {})
    return [{"choice": one["choice"], "by": f"{one['by']} mm", "from": since, "kind": kind, **only} for one in changes]


def house_correction(kind: str, method: str, choice: str, by: str, found: int, fittings: int) -> dict[str, Any]:
    """A rule of the house from its fittings, as a job has it."""
    says = f"{found} of {fittings} fittings here"
    return {"choice": choice, "by": f"{by} mm", "from": says, "kind": kind, "method": method, "house": True}


def as_marked_text(mm: float, unit: str) -> str:
    """The nearest that a tape is marked with, a sixteenth of an inch or a millimetre, as text in mm."""
    mark = Fraction(254, 160) if as_unit(unit) == "in" else Fraction(1)
    return _text(round(Fraction(mm) / mark) * mark)


def said_changes(kind: str, changes: list[Change]) -> list[ChangeOut]:
    """Kept changes in words."""
    return [_change(kind, one["choice"], float(one["by"])) for one in changes]


def alteration(sign: str, cure: str, changes: list[Change], unit: str) -> tuple[str, str] | None:
    """What a kept cure is on the garment that it was seen on: what is altered, and by how much; None where it waits for
    the next.
    """
    found = next((one for one in SIGNS[sign].cures if one.code == cure), None) if sign in SIGNS else None
    made = alteration_of(found, Fraction(changes[0]["by"])) if found is not None else None
    return None if made is None else words().alteration_words(made, as_unit(unit))


def sign_name(sign: str, unit: str) -> str:
    """What was seen."""
    return words().sign_words(sign, as_unit(unit)).name


def cure_name(cure: str, unit: str) -> str:
    """What was done about it."""
    return words().cure_name(cure, as_unit(unit))


def _sign(code: str, side: Side) -> Sign:
    if code not in SIGNS:
        raise SignError("There is no such sign. Read the page again.")
    if side != "both" and not SIGNS[code].sided:
        raise SignError("What this moves is sewn to its twin on the other side. Choose both sides.")
    return SIGNS[code]


def _pinned(typed: str, unit: str) -> Fraction:
    """What is pinned, from 1/8 in to 6 in. Raises CoreRefusal, SignError."""
    try:
        size = Fraction(read(typed, as_unit(unit)))
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None
    if not 3 <= size <= 153:
        raise SignError("What is pinned is from 1/8 in to 6 in (3 mm to 15 cm). Type what the tape reads of it.")
    return size


def _text(mm: Fraction) -> str:
    """Exactly, as far as a tape goes."""
    return f"{(Decimal(mm.numerator) / Decimal(mm.denominator)).quantize(ROUND).normalize():f}"


def _change(kind: str, key: str, mm: float, says: str = "") -> ChangeOut:
    """Of any kind, where none is said, the first that has such a choice."""
    own = kind or next(one.name for one in KINDS.values() if key in one.correctable)
    return ChangeOut(choice=key, name=said_choice(own, key), by_mm=mm, says=says)


def _cure(one: Tried, sign: Sign, pinned: Fraction, unit: Literal["in", "cm"]) -> CureOut:
    say = words()
    if one.refused:
        state: Literal["changes", "nothing", "refused"] = "refused"
        what, mend = say.say_problem(one.refused[0], unit)
        says = f"{what}. {mend}" + (f" {say.say_works(float(one.works))}" if one.works else "")
    else:
        state = "changes" if one.numbers or one.moved else "nothing"
        says = say.say_room(one.room, one.left, unit) if state == "changes" else say.say_nothing()
    moved = one.moved
    return CureOut(
        key=one.cure.code, name=say.cure_name(one.cure.code, unit),
        changes=[
            _change(sign.kind, each.choice, each.by.mm, say.say_amount(change.amount(pinned), unit))
            for each, change in zip(one.corrections, one.cure.changes, strict=True)
        ],
        numbers=[
            NumberMovedOut(
                key=each.key, name=say.number_name(each.key), was_mm=each.was.mm, now_mm=each.now.mm,
                formula=say.formula(each.now, unit), with_=with_numbers(each.now, unit),
            ) for each in one.numbers
        ],
        moved=None if moved is None else MovedOut(
            panel=moved.panel, lines=_points(moved.lines), was=_points(moved.was),
            view=[round(size, 1) for size in moved.view],
        ),
        says=says, state=state,
    )  # fmt: skip


def _points(lines: Any) -> Lines:
    return [[[round(point.across, 1), round(point.down, 1)] for point in line] for line in lines]


def recurring_of(rows: Iterable[tuple[str, str, list[Change]]]) -> list[RecurringChange]:
    """What recurs among fittings, each by its kind, its method and its changes."""
    return recurring([
        Fitted(kind, method, {one["choice"]: float(one["by"]) for one in changes}) for kind, method, changes in rows
    ])  # fmt: skip


def said_choice(kind: str, key: str) -> str:
    """What a correction of a kind of garment changes."""
    return words().corrected_name(kind, key)


def method_name(method: str) -> str:
    """What a method is called; empty where none is known."""
    return words().method_words(method).name if method else ""


def method_of(style: str, method: str, choices: dict[str, Any], kind: str) -> str:
    """By which method a garment, or its half of a kind, is drafted."""
    half = choices.get(kind) or {} if style in PAIRS else {"style": style, "method": method}
    return half.get("method") or (kind_of(half["style"]).first_method(half["style"]) if half.get("style") else "")
