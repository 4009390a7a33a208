"""What can be chosen for a garment, what is usual, what each choice would change, and how a style looks on a body."""

from collections.abc import Sequence
from contextlib import suppress
from dataclasses import astuple, dataclass
from fractions import Fraction
from typing import Any, Literal, TypeAlias

from pydantic import BaseModel

from cutting.body import Body, with_sample
from cutting.choosing import SUM_OF, Row, asked
from cutting.cloth import Cloth
from cutting.effects import LEFT_OUT, Effect, effects
from cutting.errors import CuttingError
from cutting.formats import keep, read_job
from cutting.formats.choices_v1 import read_choices
from cutting.formats.plan_shape import PlanOut
from cutting.kinds import KINDS, PAIRS, GarmentKind, all_styles, kind_of
from cutting.lengths import Fixed, Length, OfCorrection, Unit, on_tape, show
from cutting.plan import plan
from cutting.where import choice
from cutting.words.inches import as_taped
from cutting.words.language import ChoiceWords
from shop.bridge.problems import CoreRefusal
from shop.bridge.words import as_unit, said_plan, words

Outline: TypeAlias = list[list[float]]
RowKind = Literal["rule", "length", "number", "some"]


class OptionOut(BaseModel):
    """A rule: what it is called, what it would change as the draft stands, or why it cannot be chosen."""

    value: str
    label: str
    says: str = ""
    dead: str = ""


class RowOut(BaseModel):
    """A choice that is asked. `of` is the set it is one of (allowances), empty for one by itself.

    `typed` where a length may be given instead of one of the rules; `typed_says` what the length that was given changes
    against the usual; `fitting` what the client's fittings add to it. `usual` is what is taken where nothing is chosen:
    its value, and as one says it with where it comes from.
    """

    key: str
    of: str
    kind: RowKind
    typed: bool
    legend: str
    hint: str
    options: list[OptionOut]
    usual: str
    usually: str
    least_mm: float
    most_mm: float
    typed_says: str = ""
    fitting: str = ""


class ChoiceGroupOut(BaseModel):
    """Choices that belong together, in the order they are asked."""

    key: str
    name: str
    rows: list[RowOut]


class DesignOut(BaseModel):
    """What can be chosen for a garment as it stands: the methods that make its style, and its choices by groups."""

    kind: str
    method: str
    methods: list[OptionOut]
    groups: list[ChoiceGroupOut]


@dataclass(frozen=True)
class InHand:
    """A garment of a job, or a jumpsuit's half, that is being designed; `chosen` as the page keeps it."""

    job: dict[str, Any]
    kind: GarmentKind
    style: str
    method: str
    chosen: dict[str, Any]
    cloth: Cloth
    joined: bool
    garment: str

    def body(self) -> Body:
        """The client for this garment. Raises CuttingError where the measurements make none."""
        job = read_job(self.job | {"garments": [{"id": "any", "style": "palazzo"}]})
        return job.body.wearing(self.garment)

    def read(self) -> dict[str, Any]:
        """The choices as the core has them."""
        unit = as_unit(self.job["unit"])
        with on_tape(unit):
            return read_choices(self.chosen, unit, choice(), self.kind, [])


def in_hand(job: dict[str, Any], garment: str, half: str) -> InHand:
    """A job's garment of that name, or a jumpsuit's half; the first where there is none."""
    raw = next((one for one in job["garments"] if one["id"] == garment), job["garments"][0])
    name, joined = raw["id"], raw["style"] in PAIRS
    if joined:
        pair = PAIRS[raw["style"]].halves
        half = half or list(pair)[-1]
        raw = raw[half] or {"style": pair[half]}
    style = raw["style"]
    kind = kind_of(style)
    cloth = read_job(job | {"measurements": {}, "garments": [{"id": "any", "style": "palazzo"}]}).cloth
    method = raw.get("method") or kind.first_method(style)
    return InHand(job, kind, style, method, raw.get("choices") or {}, cloth, joined, name)


def design(job: dict[str, Any], garment: str = "", half: str = "") -> DesignOut:
    """The choices of a job's garment of that name, or of a jumpsuit's half; of the first where there is none.

    Where its draft cannot be made nothing is said of what a choice would change.
    """
    made = in_hand(job, garment, half)
    kind, style, method, cloth, joined, unit = (
        made.kind, made.style, made.method, made.cloth, made.joined, as_unit(job["unit"]),
    )  # fmt: skip
    chosen = made.chosen
    found: dict[tuple[str, str], Effect] = {}
    sums: dict[str, float] = {}
    fittings: dict[str, str] = {}
    with suppress(CuttingError):
        body, read = made.body(), made.read()
        fittings = _of_fittings(body, kind.name, unit)
        with on_tape(unit):
            found = {(one.choice, one.rule): one for one in effects(body, method, style, read, cloth, joined)}
            kept = {key: value for key, value in read.items() if key not in kind.unused(method)}
            sums = kind.sums(body, method, kind.resolve(method, style, kept, cloth, joined))
    say, groups = words(), dict[str, ChoiceGroupOut]()
    with on_tape(unit):
        rows = asked(kind, method, style, chosen, cloth, joined)
    for row in rows:
        group = row.choice.group
        shown = groups.setdefault(group, ChoiceGroupOut(key=group, name=say.group_name(kind.name, group), rows=[]))
        on_client = sums.get(SUM_OF.get(row.key, "")) if row.key not in chosen else None
        shown.rows.append(_row(row, kind, joined, unit, found, on_client, fittings.get(row.key, "")))
    methods = [_option(found, "method", name, say.method_words(name).name, unit) for name in kind.methods_for(style)]
    return DesignOut(kind=kind.name, method=method, methods=methods, groups=list(groups.values()))


def _row(
    row: Row, kind: GarmentKind, joined: bool, unit: Unit, found: dict[tuple[str, str], Effect],
    on_client: float | None, fitting: str,
) -> RowOut:  # fmt: skip
    """A row of choices in words; `on_client` is what is usual in mm on this client, where that is the style's own."""
    say, key = words(), f"{row.of}.{row.key}" if row.of else row.key
    named = ChoiceWords(*(as_taped(text, unit) for text in astuple(say.choice_words(kind.name, key, joined))))
    # A length with one rule of its own is asked as a length: the rule is what is taken where none is typed.
    by_rule = len(row.rules) > 1 and row.choice.kind in ("rule", "rule-or-length")
    several = row.choice.kind == "list"
    rules = row.rules if by_rule else row.choice.offered[1:] if several else ()
    options = [_option(found, row.key, rule, say.rule_name(kind.name, row.key, rule, joined), unit) for rule in rules]
    if by_rule and row.usual is None:
        options.insert(0, OptionOut(value="", label=named.unset))
    shown = _text(row.usual, unit) if not by_rule and not several and row.usual not in row.choice.offered else ""
    of_rule = say.rule_name(kind.name, row.key, str(row.usual), joined) if by_rule and row.usual in rules else ""
    of_rule = as_taped(of_rule, unit)
    if row.usual is None and on_client:
        shown = show(on_client, unit).text
    return RowOut(
        key=row.key, of=row.of, kind="rule" if by_rule else "some" if several else _typed(row),
        typed=by_rule and row.choice.kind == "rule-or-length", legend=named.legend,
        hint=named.hint, options=options, usual="" if row.usual is None or several else _plain(row.usual, unit),
        usually=", ".join(dict.fromkeys(
            part for part in (shown or of_rule or named.unset, say.source_name(row.source) or (shown and named.unset))
            if part
        )),
        least_mm=row.choice.least, most_mm=row.choice.most, typed_says=_typed_says(found, row, unit), fitting=fitting,
    )  # fmt: skip


def _typed_says(found: dict[tuple[str, str], Effect], row: Row, unit: Unit) -> str:
    """What a typed length changes: the other way round what leaving it out would change."""
    effect = found.get((row.key, LEFT_OUT))
    if row.of or effect is None or effect.refused:
        return ""
    return words().say_effect({key: -by for key, by in effect.by.items()}, unit)


def _typed(row: Row) -> RowKind:
    return "number" if row.choice.kind == "number" else "length"


def _option(found: dict[tuple[str, str], Effect], key: str, rule: str, label: str, unit: Unit) -> OptionOut:
    effect, say = found.get((key, rule)), words()
    if effect is None:
        return OptionOut(value=rule, label=as_taped(label, unit))
    dead = say.say_problem(effect.refused[0], unit)[0] if effect.refused else ""
    return OptionOut(value=rule, label=as_taped(label, unit), says=say.say_effect(effect.by, unit), dead=dead)


def _plain(value: Any, unit: Unit) -> str:
    if isinstance(value, Fixed):
        return show(value.value, unit).text
    return f"{float(value):g}" if isinstance(value, Fraction) else str(value)


def _text(value: Any, unit: Unit) -> str:
    """A size as one says it: none of nothing."""
    if value is None:
        return ""
    return "none" if isinstance(value, Fixed) and not value.size else _plain(value, unit)


def first_method(style: str) -> str:
    """The method a garment of a style is drafted by where none is chosen; a jumpsuit's halves have their own."""
    return kind_of(style).first_method(style) if style in all_styles() else ""


def styles_of(method: str) -> list[str]:
    """The styles a method makes; those of any where there is no such method, so that it is refused in words."""
    made = [style for kind in KINDS.values() for style in kind.styles if method in kind.methods_for(style)]
    return made or list(all_styles())


def silhouettes(unit: str, measurements: dict[str, str]) -> dict[str, Outline]:
    """Half of each style as it hangs, from its centre line, in mm; without those that cannot be drawn.

    Where a point that drafting needs is missing, an invented body's is taken.
    """
    body = read_job(one_garment(unit, with_sample(measurements, as_unit(unit)), "palazzo", "", {})).body
    drawn: dict[str, Outline] = {}
    for kind in KINDS.values():
        for style in kind.styles:
            with suppress(CuttingError):
                drawn[style] = [[round(p.across, 1), round(p.down, 1)] for p in kind.outline(body, style)]
    return drawn


def draft_alone(
    unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any],
    corrections: Sequence[dict[str, str]] = (),
) -> PlanOut:  # fmt: skip
    """The plan of one garment by one method, on cloth wide enough for anything, in words. Raises CoreRefusal.

    Where a point that drafting needs is missing, an invented body's is taken; `corrections` are as a job has them.
    """
    return said_plan(kept_alone(unit, measurements, style, method, choices, corrections), unit)


def kept_alone(
    unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any],
    corrections: Sequence[dict[str, str]] = (),
) -> dict[str, Any]:  # fmt: skip
    """The same as it would be stored."""
    measurements = with_sample(measurements, as_unit(unit))
    try:
        job = one_garment(unit, measurements, style, method, choices) | {"corrections": list(corrections)}
        return keep(plan(read_job(job), by_width=False))
    except CuttingError as error:
        raise CoreRefusal(error, as_unit(unit)) from None


def one_garment(
    unit: str, measurements: dict[str, str], style: str, method: str, choices: dict[str, Any]
) -> dict[str, Any]:
    """A job of one garment on cloth wide enough for anything."""
    garment = {"id": "trousers", "style": style, "method": method, "choices": choices}
    return {
        "format": "plavet-job", "version": 1, "unit": unit, "measurements": measurements, "garments": [garment],
        "cloth": {"width": "3290 mm", "fold": "open"},
    }  # fmt: skip


def _of_fittings(body: Body, kind: str, unit: Unit) -> dict[str, str]:
    """What the fittings make of each choice of a kind of garment, in words."""
    found: dict[str, dict[str, Length]] = {}
    for one in body.corrections:
        if one.kind in ("", kind):
            sides = found.setdefault(one.choice, {})
            sides[one.side] = sides[one.side] + one.by if one.side in sides else one.by
    return {
        key: ", ".join(f"{'' if side == 'both' else side + ' '}{_signed(by, unit)}" for side, by in sides.items())
        for key, sides in found.items()
    }


def _signed(by: Length, unit: Unit) -> str:
    text = words().formula(by, unit)
    plus = isinstance(by, OfCorrection) and by.size > 0
    return f"+ {text}" if plus else text
