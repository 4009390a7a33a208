"""What is turned on a curved edge: how much shorter or longer its raw edge is than the cloth it is stitched to."""

from collections.abc import Mapping

from cutting.codes import FindingCode
from cutting.drafting import Edge
from cutting.finding import Finding
from cutting.lengths import found
from cutting.pieces import Panel
from cutting.where import part

SAID = 12.7
"""Up to so many mm cloth gives by itself when it is pressed."""


def said_of_turns(panels: Mapping[str, Panel]) -> list[Finding]:
    """That a turned edge is over half an inch shorter than what it is stitched to, or longer: the worst of them."""
    worst: dict[FindingCode, tuple[float, str, str]] = {}
    for name, panel in panels.items():
        for edge in panel.edges.values():
            if edge.turned:
                short, full = misfit(edge)
                both: tuple[tuple[FindingCode, float], ...] = (("turn.short", short), ("turn.full", full))
                for code, by in both:
                    worst[code] = max(worst.get(code, (0.0, "", "")), (by, name, edge.name))
    return [
        Finding(code, "note", part(name, edge), {"panel": name, "by": found(by, "")})
        for code, (by, name, edge) in worst.items() if by > SAID
    ]  # fmt: skip


def misfit(edge: Edge) -> tuple[float, float]:
    """How much shorter its hollow bends make a turned edge than the cloth one fold above it, how much longer its round
    ones; in mm. What is moved by so much is shorter by as much times the angle it bends through.
    """
    deep = edge.allowance.mm / edge.turned
    over = [2 * deep * bend for bend in edge.path.bends]
    return sum(by for by in over if by > 0), -sum(by for by in over if by < 0)
