"""How the cloth to buy was counted, in words."""

from cutting.lengths import Unit, show
from cutting.yardage import Yardage


def yardage_formula(bought: Yardage, unit: Unit) -> str:
    """The sum from the lay to what is bought."""
    parts = [f"lay {show(bought.lay, unit).text}"]
    for size, name in (
        (bought.shrink, "shrinkage"),
        (bought.trim, "trimming"),
        (bought.spare, "spare"),
        (bought.match, "to match the repeat"),
    ):
        if size:
            parts.append(f"{show(size, unit).text} {name}")
    return f"{' + '.join(parts)}, rounded up to {bought.steps} x {bought.sold_in}"


def cost_formula(bought: Yardage, unit: Unit) -> str:
    """The sum of what the cloth costs; empty without a price."""
    if bought.price is None:
        return ""
    amount = f"{bought.buy / float(bought.priced_in):.3f}".rstrip("0").rstrip(".")
    one = "yard" if float(amount) <= 1 else "yards"
    return f"{amount} {one if unit == 'in' else 'm'} x {float(bought.price):.2f}"
