"""How a lower garment is sewn: centres first where it is fitted and opens, else sides first, the crotch in one run."""

from cutting.garments import Lower, Seam
from cutting.sewing.bench import Bench, panel_of
from cutting.sewing.operation import Operation
from cutting.sewing.reading import hip_reading, leg_readings, waist_reading

OF_A_POCKET = ("pocket-backing", "curved-patch", "front-pocket-bag", "pocket-facing")
LAID_ON = ("side", "waist")


def of_pocket(seam: Seam) -> bool:
    """A pocket's own part that is held at the side and the waist until those are sewn."""
    return seam.code in LAID_ON and panel_of(seam.one[0]) in OF_A_POCKET


def lower_operations(garment: Lower) -> list[Operation]:
    """Every operation of a lower garment, in one order that can be sewn."""
    bench, ask, panels = Bench(garment), garment.ask, garment.panels
    main = [name for name in garment.main if name in panels]
    bench.add("fuse", panels=[part.panel.name for part in garment.parts if part.interfacing])
    bench.add("darts", panels=[name for name in panels if panels[name].darts])
    bench.add("piping", bench.take(lambda seam: seam.code == "piping"))
    bench.add("patch", bench.take(lambda seam: seam.code == "patch"), after=("piping", "fuse", "darts"))
    bench.add("in_seam_pocket", bench.take(lambda seam: panel_of(seam.one[0]) == "pocket-bag"), after=("darts",))
    bench.add("front_pocket", bench.take(lambda seam: seam.code == "pocket"), after=("darts", "fuse"))
    bench.add("baste_pocket", bench.take(of_pocket), after=("front_pocket", "patch"))
    turn_up = bench.take(lambda seam: seam.code == "strip" and panel_of(seam.one[0]) == "turn-up")
    bench.add("strips", bench.take(lambda seam: seam.code == "strip"), after=("darts", "fuse"))
    bench.add("fly", bench.take(_of_fly), after=("fuse",))
    early = ("darts", "strips", "patch", "in_seam_pocket", "baste_pocket")
    centres = bench.take(lambda seam: seam.code == "crotch")
    legs = bench.take(lambda seam: seam.code == "inner_leg")
    sides = bench.take(lambda seam: seam.code == "side")
    if ask.closure != "none":
        front = tuple(seam for seam in centres if not _behind(seam))
        bench.add("front_centre", front, after=(*early, "fly"))
        bench.add("back_centre", tuple(seam for seam in centres if _behind(seam)), after=early)
        bench.add("side", sides, after=(*early, "front_centre", "back_centre"))
        _hip(bench, garment, main if sides else [])
        bench.add("inner_leg", legs, after=("side", "front_centre", "back_centre"))
    else:
        bench.add("side", sides, after=early)
        _hip(bench, garment, main if sides else [])
        bench.add("inner_leg", legs, after=("side", *early))
        inner = leg_readings(garment)
        bench.add("measure_inner_legs", panels=main if legs else (), after=("inner_leg",), readings=inner)
        bench.add("crotch", centres, after=("inner_leg", "measure_inner_legs", *early))
    legs_done = ("side", "inner_leg", "crotch", "front_centre", "back_centre")
    zipped = any(notion.code in ("zip", "invisible-zip") for notion in garment.notions)
    bench.add("zip", panels=main if zipped else (), after=legs_done)
    _waist(bench, garment, main, (*legs_done, "zip", "fly"))
    hemmed = [name for name in main if "hem" in panels[name].edges]
    bench.add("measure_legs", panels=hemmed, after=legs_done, readings=leg_readings(garment))
    bench.add("turn_up", turn_up, after=(*legs_done, "measure_legs"))
    bench.add("hem", panels=() if turn_up else hemmed, after=(*legs_done, "measure_legs"))
    fastened = any(notion.code in ("hook", "button") for notion in garment.notions)
    bench.add("fastening", panels=main if fastened else (), after=("band", "casing", "loops", "hem", "turn_up"))
    bench.rest()
    return bench.done


def _waist(bench: Bench, garment: Lower, main: list[str], before: tuple[str, ...]) -> None:
    """From the re-measured waist to its finish."""
    banded = bench.take(lambda seam: seam.code == "waist")
    bench.add("ring", bench.take(lambda seam: seam.code == "ring"), after=("fuse",))
    if banded:
        bench.add("measure_waist", panels=main, after=before, readings=waist_reading(garment))
    bench.add("band", banded, after=(*before, "ring", "measure_waist", "fuse"))
    cased = garment.ask.waist_finish in ("casing", "paper-bag", "half-elastic") and not banded
    bench.add("channel", bench.take(lambda seam: seam.code == "channel"), after=before)
    bench.add("casing", panels=main if cased else (), after=(*before, "channel"))
    bench.add("tie", bench.take(lambda seam: seam.code == "tie"))
    elastic = any(notion.code == "elastic" for notion in garment.notions)
    bench.add("elastic", panels=main if elastic else (), after=(*before, "band", "casing", "channel"))
    bench.add("loops", bench.take(lambda seam: seam.code == "loops"), after=("band",))


def _hip(bench: Bench, garment: Lower, panels: list[str]) -> None:
    """The hip re-measured, where there are sides."""
    if panels:
        bench.add("measure_hip", panels=panels, after=("side",), readings=hip_reading(garment))


def _of_fly(seam: Seam) -> bool:
    return seam.code == "fly" or (seam.code == "waist" and panel_of(seam.one[0]).startswith("fly-"))


def _behind(seam: Seam) -> bool:
    return seam.one[0] in ("back.crotch", "leg.back_crotch")
