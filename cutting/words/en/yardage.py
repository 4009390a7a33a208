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


SOLD_IN = {
    "yard": ("yard", "yards"), "half-yard": ("half yard", "half yards"), "quarter-yard": ("quarter yard", "quarter yards"),
    "0.1 m": ("0.1 m", "x 0.1 m"), "six-yards": ("piece of six yards", "pieces of six yards"),
}  # fmt: skip


def can_save(bought: Yardage, least: float) -> str:
    """Whether a shorter lay could make one buy less than is bought; `least` mm is the least that is proved."""
    one, several = SOLD_IN[bought.sold_in]
    less = round((bought.buy - least) / (bought.buy / bought.steps))
    if less <= 0:
        return f"No lay can save another {one}."
    return f"A shorter lay could save {f'one {one}' if less == 1 else f'{less} {several}'} at most."


def cost_formula(bought: Yardage, unit: Unit) -> str:
    """The sum of what the cloth costs; empty without a price."""
    if bought.price is None:
        return ""
    amount = f"{bought.buy / float(bought.priced_in):.3f}".rstrip("0").rstrip(".")
    one = "yard" if float(amount) <= 1 else "yards"
    return f"{amount} {one if unit == 'in' else 'm'} x {float(bought.price):.2f}"
