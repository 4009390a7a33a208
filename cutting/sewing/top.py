"""How a top is sewn: flat as long as it can be, sleeves before the sides."""

from cutting.garments import Seam, Top
from cutting.sewing.bench import Bench, panel_of
from cutting.sewing.operation import Operation
from cutting.sewing.reading import cap_readings

OPENINGS = ("placket", "slit-facing")
ZIPS = ("invisible-zip", "open-zip", "zip-through")


def top_operations(garment: Top) -> list[Operation]:
    """Every operation of a top, in one order that can be sewn."""
    bench, panels = Bench(garment), garment.panels
    bench.add("fuse", panels=[part.panel.name for part in garment.parts if part.interfacing])
    bench.add("darts", panels=[name for name in panels if panels[name].darts])
    bench.add("opening", bench.take(lambda seam: panel_of(seam.one[0]) in OPENINGS), after=("fuse", "darts"))
    zips = [notion for notion in garment.notions if notion.code in ZIPS]
    variant = "invisible-zip" if any(notion.code == "invisible-zip" for notion in zips) else ""
    long = {"zip": zips[0].length if zips else None}
    bench.add("zip", bench.take(lambda seam: seam.code == "centre"), after=("darts",), variant=variant, amounts=long)
    bench.add("shield", bench.take(lambda seam: seam.code == "shield"), after=("zip",))
    bench.add("shoulder", bench.take(lambda seam: seam.code == "shoulder"), after=("darts", "opening"))
    # A zip through a waist comes when that is closed: the neck is finished before.
    zip_first = () if garment.ask.joined else ("zip",)
    facing = bench.take(lambda seam: seam.code == "neck")
    bench.add("neck_facing", facing, after=("shoulder", "fuse", "opening", *zip_first))
    binding = bench.take(lambda seam: seam.code == "binding" and panel_of(seam.one[0]) == "neck-binding")
    bench.add("neck_binding", binding, after=("shoulder", "opening", *zip_first))
    sleeves = bench.take(_of_sleeve)
    if sleeves:
        bench.add(
            "measure_cap",
            panels=("sleeve", "front", "back"),
            after=("shoulder", "darts"),
            readings=cap_readings(garment),
        )
    bench.add("sleeves", sleeves, after=("shoulder", "darts", "measure_cap"))
    bench.add("sides_and_sleeves", bench.take(lambda seam: seam.code in ("side", "underarm")),
              after=("sleeves", "shoulder", "darts"))  # fmt: skip
    bench.add("armhole_facing", bench.take(lambda seam: seam.code == "armhole"), after=("sides_and_sleeves", "fuse"))
    bench.add("armhole_binding", bench.take(lambda seam: seam.code == "binding"), after=("sides_and_sleeves",))
    bench.add("cuffs", bench.take(lambda seam: seam.code == "cuff"), after=("sides_and_sleeves", "fuse"))
    cuffed = any(one.code == "cuffs" for one in bench.done)
    hemmed = [name for name in garment.main if "hem" in panels[name].edges and not (cuffed and name == "sleeve")]
    turned = {panels[name].edges["hem"].allowance.value: panels[name].edges["hem"].allowance for name in hemmed}
    hem = {"hem": next(iter(turned.values())) if len(turned) == 1 else None}
    bench.add("hem", panels=hemmed, after=("sides_and_sleeves", *zip_first), amounts=hem)
    bench.rest()
    return bench.done


def _of_sleeve(seam: Seam) -> bool:
    return seam.code == "armhole" and panel_of(seam.one[0]) == "sleeve"
