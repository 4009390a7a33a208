"""The kinds of garments: what each can be made as, what can be chosen for it, and how it is drafted.

An unknown kind or style fails here. A kind's checks and ledger are listed by its name in `checks` and `ledger`.
"""

from collections.abc import Callable, Collection, Mapping, Sequence
from dataclasses import dataclass, fields
from typing import Any

from cutting.body import Body
from cutting.cloth import Cloth
from cutting.garments import Garment, draft_lower, draft_top, lower_panels, top_panels
from cutting.geometry import Point, beyond
from cutting.lengths import Length
from cutting.methods import (
    METHODS,
    OF_A_WAIST,
    STYLES,
    Allowances,
    Ask,
    correct_lower,
    correct_top,
    lengths_among,
    methods_for,
    resolve,
    usual_method,
    usual_sources,
)
from cutting.methods.choices import LOWER, LOWER_EDGES, Choice
from cutting.methods.darts import Darts
from cutting.methods.upper import (
    OF_THE_SEAM,
    QUARTER_BUST,
    TOPS,
    WAIST_LEVELS,
    TopAllowances,
    TopAsk,
    draw_top,
    resolve_top,
    top_needs,
    usual_top_sources,
)
from cutting.methods.upper.choices import EDGE_NEEDS, TOP
from cutting.pieces import Panel, finish

Chosen = Mapping[str, Any]


@dataclass(frozen=True)
class GarmentKind:
    """A kind of garment. `start` is the style one starts from, `ask` what is asked of its methods, `allowances` its
    seam allowances; `edge_needs` says which of those are asked only where something holds.

    `facts` are what its choices may need to know of a style, a method and what is asked; `sources` where a choice's
    default comes from; `needs` the measurements that a draft cannot be made without, of two that will do the one that
    there is; `sums` the sizes a draft works out, in mm; `outline` half of a style's front as it hangs, from its centre
    line; `measures` those that a fitting may correct. `panels` are those of a draft alone, quicker.
    """

    name: str
    start: str
    styles: Mapping[str, Any]
    choices: Mapping[str, Choice]
    ask: type[Any]
    allowances: type[Any]
    edge_needs: Mapping[str, Any]
    methods_for: Callable[[str], list[str]]
    first_method: Callable[[str], str]
    unused: Callable[[str], tuple[str, ...]]
    facts: Callable[[str, str, Any], dict[str, str]]
    sources: Callable[[str, str, Cloth], dict[str, str]]
    needs: Callable[[str, Any, Collection[str]], tuple[str, ...]]
    resolve: Callable[[str, str, dict[str, Any], Cloth | None, bool], Any]
    draft: Callable[[str, str, Body, Any], Garment]
    panels: Callable[[str, str, Body, Any], dict[str, Panel]]
    sums: Callable[[Body, str, Any], dict[str, float]]
    outline: Callable[[Body, str], Sequence[Point]]
    measures: tuple[str, ...] = ()

    @property
    def correctable(self) -> tuple[str, ...]:
        """What a fitting's correction can change: choices that are lengths, and measures."""
        return (*lengths_among(self.choices), *self.measures)

    @property
    def methods(self) -> list[str]:
        """Every method that makes any of its styles."""
        made = {method for style in self.styles for method in self.methods_for(style)}
        return [method for method in (*METHODS, *sorted(made - set(METHODS))) if method in made]


SILENT = (
    "girth", "waist_girth", "waist_round", "front_gathers", "back_gathers", "thigh_depth", "ankle_depth",
    "crotch_width", "centre_lean",
)  # fmt: skip
"""Sums that no choice is said to change."""


def _sizes(sums: Any) -> dict[str, float]:
    sizes: dict[str, float] = {}
    for field in fields(sums):
        value = getattr(sums, field.name)
        if isinstance(value, Length) and field.name not in SILENT:
            sizes[field.name] = value.mm
        elif isinstance(value, Darts):
            sizes[field.name] = value.all.mm
    return sizes


def _lower_sums(body: Body, method: str, ask: Ask) -> dict[str, float]:
    ask, _ = correct_lower(ask, body, method)
    return _sizes(METHODS[method].sums(body, ask)) | {"centre_seam": ask.allowances.centre.mm}


def _top_sums(body: Body, _: str, ask: TopAsk) -> dict[str, float]:
    drawn = draw_top(body, correct_top(ask, body)[0])
    return _sizes(drawn.sums) | {"sleeve_length": drawn.sleeve.length.mm if drawn.sleeve else 0.0}


def _lower_outline(body: Body, style: str) -> list[Point]:
    """What reaches past the centre line is folded in at the crotch; from there down the leg hangs out by it more and
    more, so that its hem is seen whole.
    """
    method = usual_method(style)
    how = METHODS[method]
    _, drafts = how.draw(body, resolve(method, style, {}), how.seats)
    panel = finish(style, drafts[0])
    centre = panel.points["CF"].across
    net = beyond(panel.net, 0.0) if panel.name == "leg" else panel.net
    fork, hem = max(net, key=lambda p: p.across).down, max(p.down for p in net)

    def hangs(p: Point) -> Point:
        hung = max(0.0, (p.down - fork) / (hem - fork))
        past = max(0.0, _reach(net, p.down) - centre)
        return Point(min(0.0, p.across - centre - hung * past), p.down)

    return [hangs(p) for p in net]


def _reach(outline: Sequence[Point], down: float) -> float:
    """How far across a closed outline reaches at a level that it crosses or ends at."""
    sides = zip(outline, [*outline[1:], outline[0]], strict=True)
    spans = [(a, b) if a.down < b.down else (b, a) for a, b in sides]
    ends = [high for one in spans if one[0].down <= down <= one[1].down for high in _at(*one, down)]
    return max(ends)


def _at(a: Point, b: Point, down: float) -> tuple[float, ...]:
    """Where a side is at a level; both its ends where it is level itself."""
    if b.down == a.down:
        return a.across, b.across
    return (a.across + (b.across - a.across) * (down - a.down) / (b.down - a.down),)


def _top_outline(body: Body, style: str) -> list[Point]:
    panel = finish(style, draw_top(body, resolve_top(QUARTER_BUST, style, {})).drafts[0])
    return [Point(-p.across, p.down) for p in panel.net]


def _lower_facts(style: str, method: str, ask: Ask) -> dict[str, str]:
    leg = STYLES[style].leg
    by_tip = ask.back_extension == "tip"
    own = [value.size for value in (ask.seat_raise, ask.centre_slant) if value is not None]
    moved = ask.seat_height != "none" or any(own) or (by_tip and ask.back_tip == "by-seat")
    falls = leg == "fall" and ask.hem_width is None and ask.inner_in_hem is None and ask.fullness == 1
    return {
        "leg": leg, "waist_is": ask.waist_is, "panels": "one" if "back_wider" in METHODS[method].unused else "two",
        "by_seat": "yes" if moved else "no",
        "by_thigh": "yes" if falls or ask.crotch_extension == "thigh-eased" else "no",
    }  # fmt: skip


def _top_facts(style: str, _: str, ask: TopAsk) -> dict[str, str]:
    return {"fitted": "yes" if TOPS[style].fitted else "no", "ends": TOPS[style].ends}


KINDS: dict[str, GarmentKind] = {
    kind.name: kind
    for kind in (
        GarmentKind(
            "lower", "straight-trousers", STYLES, LOWER, Ask, Allowances, LOWER_EDGES, methods_for, usual_method,
            lambda method: METHODS[method].unused, _lower_facts, usual_sources,
            lambda method, ask, _: METHODS[method].needs(ask), resolve,
            draft_lower, lower_panels, _lower_sums, _lower_outline,
        ),
        GarmentKind(
            "top", "straight-top", TOPS, TOP, TopAsk, TopAllowances, EDGE_NEEDS, lambda style: [QUARTER_BUST],
            lambda style: QUARTER_BUST, lambda method: (), _top_facts, usual_top_sources,
            lambda _, ask, has: top_needs(ask, has), resolve_top, draft_top, top_panels,
            _top_sums, _top_outline, WAIST_LEVELS,
        ),
    )
}  # fmt: skip


@dataclass(frozen=True)
class Pair:
    """A style of two halves that are sewn together: each by its kind, the upper first, with the style it starts from.

    `left_out` are the choices that the seam makes for each half, `of_seam` those that only a half has.
    """

    halves: Mapping[str, str]
    left_out: Mapping[str, tuple[str, ...]]
    of_seam: tuple[str, ...]


PAIRS: dict[str, Pair] = {
    "jumpsuit": Pair(
        {"top": "bodice", "lower": "palazzo"}, {"top": OF_THE_SEAM, "lower": OF_A_WAIST}, ("waist_join",)
    ),
}  # fmt: skip


def kind_of(style: str) -> GarmentKind:
    """The kind a style is of. Raises KeyError for a style there is not."""
    found = next((kind for kind in KINDS.values() if style in kind.styles), None)
    if found is None:
        raise KeyError(style)
    return found


def all_styles() -> tuple[str, ...]:
    """Every style of a garment by itself."""
    return tuple(style for kind in KINDS.values() for style in kind.styles)
