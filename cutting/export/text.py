"""A plan in words for the shell: what to buy, how to fold it, the ledger, what is wrong."""

from cutting.dividing import with_small
from cutting.lengths import show
from cutting.plan import Plan
from cutting.words import ENGLISH, Language

COLUMNS = ("body", "ease", "cut", "seams", "darts", "gathers", "sewn")


def plan_to_text(plan: Plan, words: Language = ENGLISH) -> str:
    """The plan as a page of words."""
    lines = [words.page("garment", id=g.id, style=g.style, method=g.method) for g in plan.garments]
    lines += ["", *_cloth(plan, words)]
    for garment in plan.garments:
        lines += ["", *_ledger(plan, garment.id, words)]
    failed = [check for check in plan.checks if not check.ok]
    lines += ["", words.page("checks", held=len(plan.checks) - len(failed), all=len(plan.checks))]
    lines += [f"  {f.weight}  {f.where}: {words.say_finding(f, plan.job.unit)}" for f in plan.findings]
    return "\n".join(lines) + "\n"


def _cloth(plan: Plan, words: Language) -> list[str]:
    """What to buy, how to fold it, how long the lay is."""
    unit, laid = plan.job.unit, plan.laid
    if plan.yardage is None:
        return [words.page("no_lay")]

    def size(mm: float) -> str:
        return show(mm, unit).text

    lines = [words.page("buy", buy=size(plan.yardage.buy), width=size(float(plan.job.cloth.width)))]
    lines.append(f"  {words.yardage_formula(plan.yardage, unit)}")
    for section, lay in zip(laid.sections, laid.lays, strict=True):
        upper = section.table.double_depth
        sizes = {"depth": lay.depth, "upper": upper, "single": section.table.layers[-1].end - upper}
        fold = words.say_fold(section.table.fold, sizes, unit)
        named = words.section_name(section.name, with_small(section))
        several = len(laid.lays) > 1
        lines.append(words.page("section", section=named, length=size(lay.length), fold=fold) if several else fold)
    lines.append(words.page("lay", length=size(laid.length), bound=size(laid.bound)))
    compared = {
        "habit": laid.habit, "one_pass": laid.one_pass, "open": laid.open_length, "one_fold": laid.one_fold,
    }  # fmt: skip
    return lines + [words.page(code, length=size(mm)) for code, mm in compared.items() if mm is not None]


def _ledger(plan: Plan, garment: str, words: Language) -> list[str]:
    """A garment's girths all round; what is gathered where something is."""
    unit = plan.job.unit
    rows = [row for row in plan.rows if row.garment == garment]
    columns = [name for name in COLUMNS if name != "gathers" or any(row.gathers for row in rows)]
    lines = [words.page("all_round", id=garment, unit=words.page(unit))]
    lines.append(f"  {'':8}" + "".join(f"{words.page(column):>9}" for column in columns))
    for row in rows:
        cells = {name: getattr(row, name) for name in columns} | ({"ease": None} if row.body is None else {})
        texts = ["" if cell is None else show(cell, unit).bare for cell in cells.values()]
        lines.append(f"  {row.level:8}" + "".join(f"{text:>9}" for text in texts) + ("" if row.closes else "  !"))
    return lines
