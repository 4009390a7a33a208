"""A lower garment drafted whole: its panels by a method, its parts, its numbers."""

from dataclasses import dataclass, replace
from typing import ClassVar

from cutting.body import Body
from cutting.drafting import Step, Wide
from cutting.errors import CuttingError, Problem
from cutting.finding import Finding
from cutting.garments.closures import closure_parts, fly_strips, turn_up_parts, with_fly_notch
from cutting.garments.crotch import said_of_crotch
from cutting.garments.cut_off import cut_off, said_of_bends, said_of_laps
from cutting.garments.garment import Garment
from cutting.garments.notches import notched
from cutting.garments.notions import lower_notions
from cutting.garments.numbers import numbers_of
from cutting.garments.part import Part
from cutting.garments.pocket import Pockets
from cutting.garments.pockets import pockets
from cutting.garments.seams import Seam, leg_seams, sewn
from cutting.garments.turns import said_of_turns
from cutting.garments.waists import elastic_length, waist_parts, with_channel
from cutting.garments.zips import said_of_opening, said_of_zip, zip_length
from cutting.geometry import Point
from cutting.lengths import Length, inch
from cutting.methods import METHODS, Ask, correct_lower
from cutting.methods.sums import Sums
from cutting.pieces import Panel, Piece, Tape, far_half, finish, one_side, whole_piece
from cutting.pieces.panel import with_notches
from cutting.where import GARMENT


@dataclass(frozen=True)
class Lower(Garment):
    """A lower garment. Its main panels are a front and a back, or one leg.

    `drafted` are the main panels as they are chalked: before a yoke or a strip is cut off them. Those `apart` are only
    the right side's: the left has its own (sides.py).
    """

    kind: ClassVar[str] = "lower"

    ask: Ask
    sums: Sums
    drafted: dict[str, Panel]
    apart: frozenset[str] = frozenset()

    def pieces(self, on_fold: bool) -> list[Piece]:
        """The legs, then the parts."""
        parts = [replace(part, panel=self.panels[part.panel.name]) for part in self.parts]
        crease = self.numbers["front.crease"].net.mm if "front.crease" in self.numbers else None
        legs = [whole_piece(self.panels[name], 2, True, False, crease) for name in self.main]
        if self.folds and on_fold:
            legs = [far_half(leg, 0.0, pair=True) for leg in legs]
        cut = legs + [part.piece(on_fold) for part in parts]
        return [one_side(piece, left=False) if piece.panel in self.apart else piece for piece in cut]

    @property
    def folds(self) -> bool:
        """The leg is the same on both sides of its guide line, which is on the cloth's fold: not with a zip behind."""
        return self.sums.leg_on_fold and self.panels["leg"].edges["back_crotch"].wide is None

    def tapes(self, on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """The legs' calls, then the parts'."""
        return self.main_tapes + [pair for part in self.parts for pair in part.tapes(on_fold)]

    def anchor(self, panel: str) -> tuple[str, Point]:
        """The back is laid out from the front: on its top line, or where its own top was cut off on its hip line."""
        drawn = self.panels["front" if self.traced(panel) else panel]
        on_cloth = self.marking == "on-cloth"
        side = drawn.edges["side"].allowance.mm if on_cloth and "side" in drawn.edges else 0.0
        if self.traced(panel) and self.panels[panel].edges["waist"] != self.drafted[panel].edges["waist"]:
            return "hip_place", Point(-side, drawn.points["H"].down)
        top = drawn.edges["waist"].allowance.mm if on_cloth else 0.0
        return "top_line", Point(-side, drawn.lengths["seam_down"].mm - top)

    def traced(self, panel: str) -> bool:
        """A back, where it is not drawn by itself."""
        return panel == "back" and self.ask.back_from == "front"

    def guide_words(self, panel: str, folded: bool, twin: bool) -> str:
        """A traced twin, a back with lines of its own, a half that is traced over to the other side."""
        part = self.part(panel)
        if twin:
            return "second_"
        if panel == "back" and self.ask.back_from == "itself":
            return "own_"
        return "whole_" if part is not None and part.half and not folded else ""

    @property
    def own_seams(self) -> tuple[Seam, ...]:
        """Sides to sides, inner legs to inner legs, each crotch to its twin's."""
        return leg_seams(self.panels, shaped=self.ask.waist_finish == "shaped-band")

    @property
    def waist_sewn(self) -> float:
        """Round the waist, darts closed and gathers flat, measured on the net outlines of what is sewn there, in mm."""
        return 2 * sum(self.top(name).waist_closed for name in self.main)

    def side(self, leg: str) -> float:
        """The whole side seam of front or back, with the strips that were cut off it, in mm."""
        strips = [f"{leg}-band", *(["yoke"] if leg == "back" else [])]
        panels = [self.panels[name] for name in (leg, *strips) if name in self.panels]
        return sum(panel.edges["side"].path.length for panel in panels if "side" in panel.edges)

    def top(self, leg: str) -> Panel:
        """What the waist of a leg is sewn on: the shaped band or the yoke that was cut off it, else the leg itself."""
        names = [f"{leg}-band"] * (self.ask.waist_finish == "shaped-band") + ["yoke"] * (leg == "back")
        return next((self.panels[name] for name in names if name in self.panels), self.panels[leg])


@dataclass(frozen=True)
class _Drawn:
    """All of a lower garment that is drawn: what is asked of it with the corrections, the legs as they are chalked and
    as they are cut, the parts.
    """

    ask: Ask
    sums: Sums
    drafted: dict[str, Panel]
    legs: dict[str, Panel]
    parts: list[Part]
    bags: Pockets
    closing: Length | None
    findings: tuple[Finding, ...]
    corrected: tuple[Finding, ...]
    bends: list[Finding]

    @property
    def panels(self) -> dict[str, Panel]:
        return self.legs | {part.panel.name: part.panel for part in self.parts}


def lower_panels(name: str, method: str, body: Body, ask: Ask) -> dict[str, Panel]:
    """The panels of `draft_lower` alone, by their names: much quicker, and not looked at whether they cross themselves.

    Raises CuttingError with the measure that a method cannot serve.
    """
    return _drawn(name, method, body, ask).panels


def draft_lower(name: str, method: str, body: Body, ask: Ask) -> Lower:
    """Draft a lower garment. Raises CuttingError with the measure that a method cannot serve."""
    drawn = _drawn(name, method, body, ask)
    ask, sums, legs, parts, panels = drawn.ask, drawn.sums, drawn.legs, drawn.parts, drawn.panels
    if crossed := [key for key, panel in panels.items() if not panel.sound]:
        raise CuttingError(*(Problem("outline.crossed", GARMENT, {"panel": key}) for key in crossed))
    numbers = numbers_of(drawn.drafted, legs, parts, sums, ask, body.thigh if body.has("thigh") else None)
    bought = lower_notions(ask, drawn.closing, elastic_length(ask, sums), parts, sums)
    findings = (
        *sums.findings, *drawn.findings, *drawn.bags.findings, *said_of_zip(ask.closure, drawn.closing),
        *said_of_opening(ask), *said_of_turns(legs), *drawn.bends, *said_of_laps(parts),
        *said_of_crotch(body, ask, numbers), *drawn.corrected,
    )  # fmt: skip
    return Lower(
        id=name, style=ask.style, method=method, body=body, marking=ask.marking, other_cloth=ask.other_cloth,
        main=tuple(legs), panels=panels,
        parts=tuple(parts), numbers=numbers, notions=tuple(bought), findings=findings, ask=ask, sums=sums,
        drafted=drawn.drafted,
    )  # fmt: skip


def _drawn(name: str, method: str, body: Body, ask: Ask) -> _Drawn:
    how = METHODS[method]
    ask, corrected = correct_lower(ask, body, method)
    ask = how.fitted(body, ask)
    sums, drafts = how.draw(body, ask, how.seats)
    drawn = {d.panel: finish(name, d) for d in drafts}
    closing = zip_length(ask.closure, drawn)
    drawn = _with_zip_edge(drawn, ask, closing)
    drafted = notched(drawn, ask, "leg_line" if sums.knee_round is None else "knee", closing)
    legs, parts, bends = _strips(drafted, ask)
    parts = waist_parts(name, ask, sums, legs) + parts
    legs = with_fly_notch(with_channel(legs, ask), ask)
    bags = pockets(name, legs, ask, sums)
    legs = {key: _with(panel, bags) for key, panel in legs.items()}
    parts += [*bags.parts, *closure_parts(name, ask, closing, legs, sums), *fly_strips(name, ask, legs)]
    parts += turn_up_parts(name, ask, legs)
    findings = tuple(one for draft in drafts for one in draft.findings)
    return _Drawn(ask, sums, drafted, legs, parts, bags, closing, findings, corrected, bends)


def _with_zip_edge(drafted: dict[str, Panel], ask: Ask, closing: Length | None) -> dict[str, Panel]:
    """An invisible zip behind has an edge of its own, from the waist to 1 in below its end."""
    if ask.closure != "back-zip" or closing is None or ask.zip_edge.mm <= ask.allowances.centre.mm:
        return drafted
    name, edge = ("leg", "back_crotch") if "leg" in drafted else ("back", "crotch")
    panel = drafted[name]
    wide = Wide(ask.zip_edge, closing.mm + inch(1).mm, at_end=name == "leg")
    marked = replace(panel, edges=panel.edges | {edge: replace(panel.edges[edge], wide=wide)})
    return drafted | {name: marked}


def _strips(drafted: dict[str, Panel], ask: Ask) -> tuple[dict[str, Panel], list[Part], list[Finding]]:
    """The legs with a shaped band and a yoke cut off their tops, those strips as parts, and what is said of them."""
    legs, parts, said = dict(drafted), list[Part](), list[Finding]()
    if ask.waist_finish == "shaped-band":
        deep = ask.band_depth.mm
        for name in ("front", "back"):
            cut = cut_off(legs[name], f"{name}-band", deep, deep, ask, ask.band_depth)
            legs[name] = cut.panel
            said += said_of_bends(cut, ask.band_depth)
            under = "yoke" if name == "back" and ask.yoke is not None else name
            seam = sewn("strip", f"{name}-band.lower", f"{under}.waist", count=2)
            parts.append(Part(cut.strip, 4, pair=True, interfacing=True, seams=(seam,)))
    if ask.yoke is not None and "back" in legs:
        cut = cut_off(legs["back"], "yoke", ask.yoke.mm / 2, ask.yoke.mm, ask, ask.yoke, whole_darts=True)
        legs["back"] = cut.panel
        said += said_of_bends(cut, ask.yoke)
        parts.append(Part(cut.strip, 2, pair=True, seams=(sewn("strip", "yoke.lower", "back.waist", count=2),)))
    return legs, parts, said


def _with(panel: Panel, bags: Pockets) -> Panel:
    """The panel with the lines and notches of its pockets."""
    lines = {name: path for of, name, path in bags.lines if of == panel.name}
    marked = replace(panel, lines=panel.lines | lines)
    return with_notches(marked, *(notch for of, notch in bags.notches if of == panel.name))
