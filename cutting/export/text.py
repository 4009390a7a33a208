"""A plan in words for the shell: what to buy, how to fold it, the ledger, what is wrong."""

from cutting.dividing import with_small
from cutting.lengths import show
from cutting.plan import Plan
from cutting.words import say_finding, say_fold, section_name, yardage_formula


def plan_to_text(plan: Plan) -> str:
    """The plan as a page of words."""
    unit = plan.job.unit

    def size(mm: float) -> str:
        return show(mm, unit).text

    lines: list[str] = []
    for garment in plan.garments:
        lines.append(f"{garment.id}: {garment.style} by {garment.method}")
    laid = plan.laid
    if plan.yardage is not None:
        lines += ["", f"Buy {size(plan.yardage.buy)} of cloth {size(float(plan.job.cloth.width))} wide."]
        lines.append(f"  {yardage_formula(plan.yardage, unit)}")
        for section, lay in zip(laid.sections, laid.lays, strict=True):
            named = (
                f"{section_name(section.name, with_small(section))}, {size(lay.length)}: " if len(laid.lays) > 1 else ""
            )
            lines.append(named + say_fold(section.table, lay.depth, unit))
        lines.append(f"The lay is {size(laid.length)} long; none can be shorter than {size(laid.bound)}.")
        rivals = [
            ("block by block", laid.habit),
            ("one careful pass", laid.one_pass),
            ("on open cloth", laid.open_length),
            ("on one fold", laid.one_fold),
        ]
        lines += [f"  {name}: {size(length)}" for name, length in rivals if length is not None]
    else:
        lines += ["", "No lay is possible on this cloth."]
    for garment in plan.garments:
        lines += ["", f"All round, {garment.id}, in {'inches' if unit == 'in' else 'centimetres'}"]
        lines.append(f"  {'':8}{'body':>9}{'ease':>9}{'cut':>9}{'seams':>9}{'darts':>9}{'sewn':>9}")
        for row in plan.rows:
            if row.garment == garment.id:
                cells = [row.body, row.ease if row.body is not None else None, row.cut, row.seams, row.darts, row.sewn]
                texts = ["" if cell is None else show(cell, unit).bare for cell in cells]
                lines.append(
                    f"  {row.level:8}" + "".join(f"{text:>9}" for text in texts) + ("" if row.closes else "  !")
                )
    failed = [check for check in plan.checks if not check.ok]
    lines += ["", f"Checks: {len(plan.checks) - len(failed)} of {len(plan.checks)} hold."]
    lines += [f"  {f.weight}  {f.where}: {say_finding(f, unit)}" for f in plan.findings]
    return "\n".join(lines) + "\n"
