"""Which pieces are cut from the other cloth: a lining, a contrast, or a whole garment on a cloth of its own."""

KINDS = ("bags", "facings", "band", "yoke", "sleeves", "all")


def kind_of(panel: str) -> str:
    """What kind of piece a panel is; empty for one that covers the body and is cut with it."""
    if panel.endswith("-bag"):
        return "bags"
    if panel.endswith(("-facing", "-binding")) or panel in ("pocket-backing", "piping", "mouth-piping", "fly-guard"):
        return "facings"
    if panel.endswith("band"):
        return "band"
    return {"yoke": "yoke", "sleeve": "sleeves", "cuff": "sleeves"}.get(panel, "")


def from_other(kinds: tuple[str, ...], panel: str) -> bool:
    """Whether a panel is cut from the other cloth, where those kinds are."""
    return "all" in kinds or kind_of(panel) in kinds
