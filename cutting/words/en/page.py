"""The lines of a plan as a page of words in the shell."""

PAGE = {
    "garment": "{id}: {style} by {method}",
    "buy": "Buy {buy} of cloth {width} wide.",
    "section": "{section}, {length}: {fold}",
    "lay": "The lay is {length} long; none can be shorter than {bound}.",
    "habit": "  block by block: {length}",
    "one_pass": "  one careful pass: {length}",
    "open": "  on open cloth: {length}",
    "one_fold": "  on one fold: {length}",
    "no_lay": "No lay is possible on this cloth.",
    "all_round": "All round, {id}, in {unit}",
    "body": "body", "ease": "ease", "cut": "cut", "seams": "seams", "darts": "darts", "gathers": "gathers", "sewn": "sewn",
    "in": "inches", "cm": "centimetres",
    "paper_page": "{head}    page {n} of {of}",
    "paper_print": "Print at 100 %, not fitted to the page.",
    "paper_measure": "Measure a square first: where it is off, the pattern is not in true size.",
    "paper_stick": "{pages} pages follow, each named by its row and its column.",
    "paper_match": "Each shows 10 mm of the next: put diamond on diamond.",
    "paper_inner": "inner square: {side}",
    "paper_outer": "outer square: {side}",
    "checks": "Checks: {held} of {all} hold.",
}  # fmt: skip


def page(code: str, **params: object) -> str:
    """A line of the page."""
    return PAGE[code].format(**params)
