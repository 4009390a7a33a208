"""What is seen at a fitting, what cures it on an order's draft, and corrections as a job has them."""

from decimal import Decimal
from fractions import Fraction
from typing import Any, Literal, TypeAlias

from pydantic import BaseModel, ConfigDict, Field

from cutting.body import Body
from cutting.errors import CuttingError
from cutting.fitting import SIGNS, VIEWS, Sign, Tried, corrections_of, tried
from cutting.garments import Garment
from cutting.kinds import KINDS
from cutting.lengths import on_tape, read
from cutting.words import with_numbers
from shop.bridge.designing import in_hand
from shop.bridge.moving import Lines
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, words
from shop.errors import ShopError

ROUND = Decimal("0.00001")
"""To so many mm a correction is kept."""
Change: TypeAlias = dict[str, str]
"""A choice, and by how many mm it is changed, as text."""


class SignError(ShopError):
    """A sign or a cure that there is not, or not of this garment."""

    code = "sign"


class SignOut(BaseModel):
    """Something seen on a kind of garment, and what is pinned for it."""

    key: str
    kind: str
    name: str
    pinned: str


class ViewOut(BaseModel):
    """What is seen from one side."""

    key: str
    name: str
    signs: list[SignOut]


class ChangeOut(BaseModel):
    """A choice that a correction changes, by so many mm."""

    choice: str
    name: str
    by_mm: float


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
            SignOut(key=one.code, kind=one.kind, name=said.name, pinned=said.pinned)
            for one in SIGNS.values() if one.view == view for said in [say.sign_words(one.code, shown)]
        ]) for view in VIEWS
    ]  # fmt: skip


def cures(job: dict[str, Any], garment: str, half: str, sign: str, pinned: str, since: str) -> list[CureOut]:
    """Each cure of a sign, tried on a garment of a job. Raises SignError, and CoreRefusal where what was pinned is no
    length or the garment is not drafted.
    """
    unit = as_unit(job["unit"])
    seen, size = _sign(sign), _pinned(pinned, unit)
    made = in_hand(job, garment, half)
    if made.kind.name != seen.kind:
        raise SignError("This is seen on another kind of garment. Choose what is seen on this one.")
    try:
        body = made.body()
        with on_tape(unit):
            ask = made.kind.resolve(made.method, made.style, made.read(), made.cloth, made.joined)

            def draft(worn: Body) -> Garment:
                return made.kind.draft(made.style, made.method, worn, ask)

            return [_cure(one, seen, unit) for one in tried(seen, size, since, body, draft)]
    except CuttingError as error:
        raise CoreRefusal(error, unit) from None


def changes_of(sign: str, cure: str, pinned: str, unit: str, since: str) -> tuple[str, list[Change]]:
    """A cure as what is kept of it: the kind of garment, and each choice with its mm. Raises as `cures`."""
    seen = _sign(sign)
    found = next((one for one in seen.cures if one.code == cure), None)
    if found is None:
        raise SignError("This sign has no such cure. Read the page again.")
    made = corrections_of(found, seen.kind, _pinned(pinned, as_unit(unit)), since)
    return seen.kind, [{"choice": one.choice, "by": _text(one.by.size)} for one in made]


def job_corrections(kind: str, changes: list[Change], since: str, garment: str) -> list[dict[str, str]]:
    """Kept changes as a job has them; of one garment alone where it is named."""
    only = {"garment": garment} if garment else {}
    return [{"choice": one["choice"], "by": f"{one['by']} mm", "from": since, "kind": kind, **only} for one in changes]


def said_changes(kind: str, changes: list[Change], unit: str) -> list[ChangeOut]:
    """Kept changes in words."""
    return [_change(kind, one["choice"], float(one["by"])) for one in changes]


def sign_name(sign: str, unit: str) -> str:
    """What was seen."""
    return words().sign_words(sign, as_unit(unit)).name


def cure_name(cure: str, unit: str) -> str:
    """What was done about it."""
    return words().cure_name(cure, as_unit(unit))


def _sign(code: str) -> Sign:
    if code not in SIGNS:
        raise SignError("There is no such sign. Read the page again.")
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


def _change(kind: str, key: str, mm: float) -> ChangeOut:
    """Of any kind, where none is said, the first that has such a choice."""
    own = kind or next(one.name for one in KINDS.values() if key in one.choices)
    return ChangeOut(choice=key, name=words().choice_words(own, key, False).legend, by_mm=mm)


def _cure(one: Tried, sign: Sign, unit: Literal["in", "cm"]) -> CureOut:
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
        changes=[_change(sign.kind, each.choice, each.by.mm) for each in one.corrections],
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
