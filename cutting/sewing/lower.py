"""How a lower garment is sewn, by its way: centres first, sides first, or from the crotch outwards."""

from cutting.garments import Lower, Notion, Seam
from cutting.lengths import Length
from cutting.sewing.bench import Bench, panel_of
from cutting.sewing.operation import Operation
from cutting.sewing.reading import hip_reading, leg_readings, waist_reading
from cutting.sewing.ways import way_of

OF_A_POCKET = ("pocket-backing", "curved-patch", "front-pocket-bag", "pocket-facing")
LAID_ON = ("side", "waist")
EARLY = ("darts", "strips", "patch", "in_seam_pocket", "baste_pocket")
"""What is sewn on flat panels, before they are closed."""
CLOSED = ("side", "inner_leg", "crotch", "front_centre", "back_centre")
"""What closes them."""


def of_pocket(seam: Seam) -> bool:
    """A pocket's own part that is held at the side and the waist until those are sewn."""
    return seam.code in LAID_ON and panel_of(seam.one[0]) in OF_A_POCKET


def lower_operations(garment: Lower) -> list[Operation]:
    """Every operation of a lower garment, in one order that can be sewn."""
    bench, panels = Bench(garment), garment.panels
    main = [name for name in garment.main if name in panels]
    bench.add("fuse", panels=[part.panel.name for part in garment.parts if part.interfacing])
    bench.add("darts", panels=[name for name in panels if panels[name].darts])
    bench.add("piping", bench.take(lambda seam: seam.code == "piping"))
    bench.add("patch", bench.take(lambda seam: seam.code == "patch"), after=("piping", "fuse", "darts"))
    bags = bench.take(lambda seam: panel_of(seam.one[0]) == "pocket-bag")
    bench.add("in_seam_pocket", bags, after=("darts",), amounts={"pocket": pocket_mouth(garment)})
    bench.add("front_pocket", bench.take(lambda seam: seam.code == "pocket"), after=("darts", "fuse"))
    bench.add("baste_pocket", bench.take(of_pocket), after=("front_pocket", "patch"))
    turn_up = bench.take(lambda seam: seam.code == "strip" and panel_of(seam.one[0]) == "turn-up")
    bench.add("strips", bench.take(lambda seam: seam.code == "strip"), after=("darts", "fuse"))
    bench.add("fly", bench.take(_of_fly), after=("fuse",))
    _closed(bench, garment, main)
    zips = [notion for notion in garment.notions if notion.code in ("zip", "invisible-zip")]
    for notion in zips:
        variant = "invisible-zip" if notion.code == "invisible-zip" else ""
        bench.add("zip", panels=main, after=CLOSED, variant=variant, amounts={"zip": notion.length})
    _waist(bench, garment, main, (*CLOSED, "zip", "fly"))
    hemmed = [name for name in main if "hem" in panels[name].edges]
    bench.add("measure_legs", panels=hemmed, after=CLOSED, readings=leg_readings(garment))
    bench.add("turn_up", turn_up, after=(*CLOSED, "measure_legs"))
    hem = {"hem": garment.ask.hem_turn}
    bench.add("hem", panels=() if turn_up else hemmed, after=(*CLOSED, "measure_legs"), amounts=hem)
    fastened = any(notion.code in ("hook", "button") for notion in garment.notions)
    bench.add("fastening", panels=main if fastened else (), after=("band", "casing", "loops", "hem", "turn_up"))
    bench.rest()
    return bench.done


def pocket_mouth(garment: Lower) -> Length | None:
    """How far the side stays open for a pocket in it."""
    return garment.ask.pocket_opening if "in-seam" in garment.ask.pockets else None


def _closed(bench: Bench, garment: Lower, main: list[str]) -> None:
    """Centres, sides and inner legs, in the order of the garment's way."""
    way, early = way_of(garment).code, EARLY
    centres = bench.take(lambda seam: seam.code == "crotch")
    legs = bench.take(lambda seam: seam.code == "inner_leg")
    sides = bench.take(lambda seam: seam.code == "side")
    side_zip = next((notion.length for notion in garment.notions if notion.code == "zip"), None)
    open_at = {"zip": side_zip, "pocket": pocket_mouth(garment)}
    if way == "sides-first":
        bench.add("side", sides, after=early, amounts=open_at)
        _hip(bench, garment, main if sides else [])
        bench.add("inner_leg", legs, after=("side", *early), variant="each")
        inner = leg_readings(garment)
        bench.add("measure_inner_legs", panels=main if legs else (), after=("inner_leg",), readings=inner)
        bench.add("crotch", centres, after=("inner_leg", "measure_inner_legs", "fly", *early))
        return
    front = tuple(seam for seam in centres if not _behind(seam))
    bench.add("front_centre", front, after=(*early, "fly"))
    bench.add("back_centre", tuple(seam for seam in centres if _behind(seam)), after=early)
    if way == "from-the-crotch":
        bench.add("inner_leg", legs, after=("front_centre", "back_centre", *early), variant="from_fork")
        bench.add("side", sides, after=("inner_leg", *early), amounts=open_at)
        _hip(bench, garment, main if sides else [])
        return
    bench.add("side", sides, after=(*early, "front_centre", "back_centre"), amounts=open_at)
    _hip(bench, garment, main if sides else [])
    bench.add("inner_leg", legs, after=("side", "front_centre", "back_centre"))


def _waist(bench: Bench, garment: Lower, main: list[str], before: tuple[str, ...]) -> None:
    """From the re-measured waist to its finish."""
    banded = bench.take(lambda seam: seam.code == "waist")
    bench.add("ring", bench.take(lambda seam: seam.code == "ring"), after=("fuse",))
    if banded:
        bench.add("measure_waist", panels=main, after=before, readings=waist_reading(garment))
    elastics = [notion for notion in garment.notions if notion.code == "elastic"]
    half = garment.ask.waist_finish == "half-elastic"
    if half:
        _elastic(bench, elastics, main, (*before, "ring", "measure_waist"), "half")
    bench.add("band", banded, after=(*before, "ring", "measure_waist", "fuse", "elastic"))
    cased = garment.ask.waist_finish in ("casing", "paper-bag")
    bench.add("channel", bench.take(lambda seam: seam.code == "channel"), after=before)
    bench.add("casing", panels=main if cased else (), after=(*before, "channel"))
    bench.add("tie", bench.take(lambda seam: seam.code == "tie"))
    if not half:
        _elastic(bench, elastics, main, (*before, "band", "casing", "channel"), "")
    bench.add("loops", bench.take(lambda seam: seam.code == "loops"), after=("band",))


def _elastic(bench: Bench, elastics: list[Notion], main: list[str], after: tuple[str, ...], variant: str) -> None:
    """The elastics of a waist: half of one before its band is sewn on, as the band's front half holds its ends."""
    for notion in elastics:
        bench.add("elastic", panels=main, after=after, variant=variant, amounts={"elastic": notion.length})


def _hip(bench: Bench, garment: Lower, panels: list[str]) -> None:
    """The hip re-measured, where there are sides."""
    if panels:
        bench.add("measure_hip", panels=panels, after=("side",), readings=hip_reading(garment))


def _of_fly(seam: Seam) -> bool:
    return seam.code == "fly" or (seam.code == "waist" and panel_of(seam.one[0]).startswith("fly-"))


def _behind(seam: Seam) -> bool:
    return seam.one[0] in ("back.crotch", "leg.back_crotch")
