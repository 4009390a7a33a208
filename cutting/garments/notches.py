"""Notches at equal distances on edges that meet; one on a front, two on a back; the zip's end."""

from cutting.geometry import Point
from cutting.lengths import Length
from cutting.methods import Ask
from cutting.pieces import Notch, Panel
from cutting.pieces.panel import with_notches


def notched(panels: dict[str, Panel], ask: Ask, bend: str, closing: Length | None) -> dict[str, Panel]:
    """Front and back with their notches; `bend` is where the leg turns straight, `closing` how long the zip is."""
    done = dict(panels)
    if "leg" in panels:
        leg = panels["leg"]
        marks = [leg.notch("crotch", "front", 0.5 * leg.edges["crotch"].path.segments[0].length)]
        behind = leg.edges["back_crotch"].path
        straight = behind.segments[-1].length
        marks += [leg.notch("back_crotch", "back", behind.length - straight * at) for at in (0.45, 0.55)]
        if ask.closure == "back-zip" and closing is not None:
            marks.append(leg.notch("back_crotch", "zip_end", behind.length - closing.mm))
        return {"leg": with_notches(leg, *marks)}
    for name in ("front", "back"):
        panel = panels[name]
        side = panel.edges["side"].path.length
        above = panels["front"].edges["side"].path.segments[-1].length
        notches = [panel.notch("side", "hip", side - above)]
        inner = panels["front"].edges["inner_leg"].path
        if len(inner.segments) > 2:
            knee = inner.segments[-1].length
            notches += [panel.notch("side", bend, knee)]
            notches += [panel.notch("inner_leg", bend, panel.edges["inner_leg"].path.length - knee)]
        centre = panel.edges["crotch"].path.segments[0].length
        shares = (0.5,) if name == "front" else (0.45, 0.55)
        notches += [panel.notch("crotch", name, centre * share) for share in shares]
        if ask.closure == "side-zip" and closing is not None:
            notches.append(panel.notch("side", "zip_end", side - min(closing.mm, 0.9 * side)))
        if (ask.closure, name) in (("fly", "front"), ("back-zip", "back")) and closing is not None:
            notches.append(panel.notch("crotch", "zip_end", closing.mm))
        notches += [_dart_notch(panel, point) for dart in panel.darts for point in (dart.near, dart.far)]
        done[name] = with_notches(panel, *notches)
    return done


def _dart_notch(panel: Panel, point: Point) -> Notch:
    return panel.notch("waist", "dart", panel.edges["waist"].path.place_of(point))
