"""A top drafted whole: front, back and sleeve, what finishes neck and armhole, its numbers."""

from dataclasses import dataclass, replace
from typing import ClassVar

from cutting.body import Body
from cutting.drafting import Step
from cutting.errors import CuttingError, Problem
from cutting.finding import Finding
from cutting.garments.cuffs import cuff_parts, slit
from cutting.garments.facings import facings, slit_facings
from cutting.garments.garment import Garment
from cutting.garments.neck_opening import opened, opening_parts
from cutting.garments.notions import Notion, interfacing, stay
from cutting.garments.part import Allowed, Part, middle_of, strip
from cutting.garments.seams import Seam, sewn, top_seams
from cutting.garments.top_numbers import top_numbers
from cutting.geometry import Point
from cutting.lengths import Length, Rule, found
from cutting.methods import correct_top
from cutting.methods.upper import TOPS, DraftedTop, Sleeve, TopAsk, TopSums, draw_top
from cutting.pieces import Panel, Piece, Tape, finish
from cutting.pieces.panel import with_notches
from cutting.where import GARMENT
from cutting.where import part as place

BACK_ZIP_OVER = Rule(7)
SEAM, SHIELD = Rule(0.5), Rule(4)


@dataclass(frozen=True)
class Top(Garment):
    """A top: its main panels are front, back and (where there is one) sleeve. Every panel is a part as well."""

    kind: ClassVar[str] = "top"

    ask: TopAsk
    sums: TopSums
    sleeve: Sleeve | None

    def pieces(self, on_fold: bool) -> list[Piece]:
        """Front and back, whole or as halves on the fold, the sleeve, then the facings."""
        return [replace(part, panel=self.panels[part.panel.name]).piece(on_fold) for part in self.parts]

    def tapes(self, on_fold: bool = False) -> list[tuple[Step, Tape]]:
        """The panels' calls, then the facings'."""
        small = [part for part in self.parts if part.panel.name not in self.main]
        return self.main_tapes + [pair for part in small for pair in part.tapes(on_fold)]

    def anchor(self, panel: str) -> tuple[str, Point]:
        """The centre or the sleeve's middle, and the level of the neck point or the cap's top."""
        return "top_line", Point(0.0, 0.0)

    def guide_words(self, panel: str, folded: bool, twin: bool) -> str:
        """A traced twin; on open cloth a half that is traced over to the other side."""
        part = self.part(panel)
        if twin:
            return "second_"
        if part is not None and part.half and not folded:
            return "whole_"
        return "top_" if panel in self.main else ""

    @property
    def own_seams(self) -> tuple[Seam, ...]:
        """Shoulders and sides to each other, sleeves into armholes, a zip's edges."""
        return top_seams(self.main, self.ask.closure.removesuffix("-zip") if self.ask.closure != "none" else "")

    @property
    def gathered(self) -> float:
        """Round the lower edge, what a joined top that is not fitted is gathered by, in mm."""
        return 0.0 if TOPS[self.style].fitted or not self.ask.joined else self.waist_flat - self.sums.waist_round.mm

    @property
    def waist_flat(self) -> float:
        """Round the lower edge with its darts closed, before any gathers, in mm."""
        edge = "waist" if "waist" in self.panels["front"].edges else "hem"
        panels = [self.panels[name] for name in ("front", "back")]
        return 2 * sum(p.waist_closed if edge == "waist" else p.edges["hem"].path.length for p in panels)


def draft_top(name: str, method: str, body: Body, ask: TopAsk) -> Top:
    """Draft a top, the client's corrections in it. Raises CuttingError with the measure that cannot be served."""
    ask, said = correct_top(ask, body)
    made = top_as_asked(name, method, body, ask)
    return replace(made, findings=made.findings + said)


def top_panels(name: str, _: str, body: Body, ask: TopAsk) -> dict[str, Panel]:
    """The panels of `draft_top` alone, by their names: much quicker, and not looked at whether they cross themselves.

    Raises CuttingError with the measure that cannot be served.
    """
    return _drawn(name, body, correct_top(ask, body)[0]).panels


def top_as_asked(name: str, method: str, body: Body, ask: TopAsk) -> Top:
    """Draft a top by what is asked alone: corrections are in it already. Raises CuttingError as `draft_top`."""
    made = _drawn(name, body, ask)
    drawn, main, parts, panels = made.drawn, made.main, made.parts, made.panels
    if crossed := [key for key, panel in panels.items() if not panel.sound]:
        raise CuttingError(*(Problem("outline.crossed", GARMENT, {"panel": key}) for key in crossed))
    findings = (*drawn.sums.findings, *(one for d in drawn.drafts for one in d.findings), *_said(drawn))
    return Top(
        id=name, style=ask.style, method=method, body=body, marking=ask.marking, other_cloth=ask.other_cloth,
        main=tuple(main), panels=panels,
        parts=tuple(parts), numbers=top_numbers(main, parts, drawn, ask), notions=tuple(_notions(parts, drawn, ask)),
        findings=findings, ask=ask, sums=drawn.sums, sleeve=drawn.sleeve,
    )  # fmt: skip


@dataclass(frozen=True)
class _Drawn:
    """All of a top that is drawn: the main panels, and every part."""

    drawn: DraftedTop
    main: dict[str, Panel]
    parts: list[Part]

    @property
    def panels(self) -> dict[str, Panel]:
        return self.main | {part.panel.name: part.panel for part in self.parts}


def _drawn(name: str, body: Body, ask: TopAsk) -> _Drawn:
    drawn = draw_top(body, ask)
    panels = {d.panel: finish(name, d) for d in drawn.drafts}
    panels = _notched(panels, drawn, ask)
    if drawn.sums.opening is not None:
        panels["front"] = opened(panels["front"], drawn.sums.opening)
    if drawn.sleeve is not None and drawn.sleeve.cuff is not None:
        panels["sleeve"] = slit(panels["sleeve"])
    parts = [_main(panels[key], ask) for key in panels] + facings(name, panels, ask)
    parts += opening_parts(name, ask, drawn.sums.opening)
    if drawn.sleeve is not None:
        parts += cuff_parts(name, ask, drawn.sleeve, panels["sleeve"])
    parts += [*_shield(name, drawn, ask), *slit_facings(name, ask)]
    return _Drawn(drawn, panels, parts)


def _main(panel: Panel, ask: TopAsk) -> Part:
    if panel.name == "sleeve":
        return Part(panel, 2, pair=True)
    if ask.closure == f"{panel.name}-zip":
        return Part(panel, 2, pair=True)
    return Part(panel, 1, fold=0.0, half=True)


def _front_zip(drawn: DraftedTop) -> Length:
    return drawn.sums.front_length - drawn.sums.front_neck


def _shield(garment: str, drawn: DraftedTop, ask: TopAsk) -> list[Part]:
    """A folded strip behind a zip in front, as long as the zip and 1/2 in more at each end."""
    if ask.closure != "front-zip":
        return []
    shield = strip(garment, "zip-shield", _front_zip(drawn) + SEAM.now * 2, SHIELD.now, Allowed(SEAM.now, SEAM.now))
    return [Part(shield, fold=middle_of(shield), seams=(sewn("shield", "zip-shield.waist", "front.centre"),))]


def _said(drawn: DraftedTop) -> list[Finding]:
    if drawn.sleeve is None or drawn.sleeve.widened < 1:
        return []
    return [Finding("sleeve.widened", "note", place("sleeve"), {"by": drawn.sleeve.width})]


def _notched(panels: dict[str, Panel], drawn: DraftedTop, ask: TopAsk) -> dict[str, Panel]:
    """One notch on the front, two on the back; on armhole and cap at the same distance from the underarm."""
    done = dict(panels)
    for name, shares in (("front", (0.4,)), ("back", (0.4, 0.45))):
        panel = panels[name]
        armhole = panel.edges["armhole"].path.length
        notches = [panel.notch("armhole", name, armhole * (1 - share)) for share in shares]
        edge = "waist" if "waist" in panel.edges else "hem"
        lower = panel.edges[edge].path
        for dart in panel.darts:
            if dart.edge == "side":
                side = panel.edges["side"].path
                notches += [panel.notch("side", "dart", side.place_of(p)) for p in (dart.near, dart.far)]
            else:
                notches += [panel.notch(edge, "dart", lower.place_of(p)) for p in (dart.near, dart.far)]
        if ask.side_slit is not None:
            side = panel.edges["side"].path
            notches.append(panel.notch("side", "slit", max(0.0, side.length - ask.side_slit.mm)))
        done[name] = with_notches(panel, *notches)
    if drawn.sleeve is not None:
        sleeve = panels["sleeve"]
        lengths = {name: panels[name].edges["armhole"].path.length for name in ("front", "back")}
        cap, behind = sleeve.edges["cap"].path.length, sleeve.edges["back_cap"].path.length
        marks = [sleeve.notch("cap", "front", cap - 0.4 * lengths["front"])]
        marks += [sleeve.notch("back_cap", "back", share * lengths["back"]) for share in (0.4, 0.45)]
        # The shoulder meets the cap where both its sides hold their armhole and half of the ease.
        over = cap - lengths["front"] - ask.cap_ease.mm / 2
        where = ("cap", over) if over >= 0 else ("back_cap", behind + over)
        marks.append(sleeve.notch(where[0], "shoulder", where[1]))
        done["sleeve"] = with_notches(sleeve, *marks)
    return done


def _notions(parts: list[Part], drawn: DraftedTop, ask: TopAsk) -> list[Notion]:
    bought: list[Notion] = []
    if ask.finish == "bias":
        behind = next(d for d in drawn.drafts if d.panel == "back").edges["neck"].path.length
        bought.append(stay("neck-stay", found(2 * behind, "round_the_edge")))
    if ask.closure == "back-zip":
        long = drawn.sums.back_waist_level - drawn.sums.back_neck
        long = long + BACK_ZIP_OVER.now if ask.joined else long
        bought.append(Notion("zip-through" if ask.joined else "invisible-zip", 1, long))
    if ask.closure == "front-zip":
        bought.append(Notion("open-zip", 1, _front_zip(drawn)))
    return bought + [interfacing(part) for part in parts if part.interfacing]
