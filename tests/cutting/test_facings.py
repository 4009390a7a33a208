"""Facings: within their panel, along the edge they finish, none over another."""

from hypothesis import given, settings
from shapely.geometry import LineString, Polygon

from tests.conftest import many
from tests.cutting.test_tops import served
from tests.strategies import top_asks, wearers


@settings(max_examples=many(25))
@given(wearers(), top_asks())
def test_a_facing_lies_within_its_panel_and_follows_the_edge_it_finishes(body, ask):
    """By another library: nothing of it beyond the panel, its inner edge nowhere near the edge, none over another."""
    made = served(body, ask)
    if made is None:
        return
    shapes = {}
    for part in made.parts:
        name, _, kind = part.panel.name.partition("-")
        if not kind.endswith("-facing"):
            continue
        edge = kind.removesuffix("-facing")
        whole, shape = Polygon(flat_net(made.panels[name])), Polygon(flat_net(part.panel))
        assert shape.is_valid
        assert shape.difference(whole.buffer(0.05)).area < 0.1, part.panel.name
        kept, inner = (LineString(part.panel.edges[key].path.flat(0.05)) for key in (edge, "outer"))
        wide = part.panel.lengths["finished_width"].mm
        assert kept.equals_exact(LineString(made.panels[name].edges[edge].path.flat(0.05)), 1e-6)
        assert 0.45 * wide <= inner.distance(kept) <= wide + 0.5
        assert inner.hausdorff_distance(kept) <= 3.2 * wide
        shapes.setdefault(name, []).append(shape)
    for neck, *armhole in shapes.values():
        assert all(neck.intersection(other).area < 1 for other in armhole)


def flat_net(panel):
    return [(p.across, p.down) for p in panel.net]
