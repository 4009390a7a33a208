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
    "seam_width": "{wide} allowance",
    "paper_inner": "inner square: {side}",
    "paper_outer": "outer square: {side}",
    "card_calls_title": "Calls", "card_lay_title": "Lay", "card_cut_title": "Cut list", "card_measures_title": "Measurements",
    "card_calls": "{calls} calls, {pieces} pieces",
    "card_prepare": "Before you chalk: {cut}",
    "card_from": "from {start}",
    "card_waits": "Do not cut this line yet: it waits until the back is traced.",
    "card_under": "Another layer is over this piece: fold it back before you chalk, or cut what is on it first.",
    "card_folded": "Mark through all layers of a piece: left and right are cut as one.",
    "card_open": "These calls are for one of each pair; its twin is the same, turned over, as the lay shows.",
    "card_long": "{long} long: of the cloth from {start} to {end}, where piece {letter} ends.",
    "card_buy": "Buy {buy}",
    "card_scale_in": "Drawn 1 to {scale}. The ruler counts inches from the cut end.",
    "card_scale_cm": "Drawn 1 to {scale}. The ruler counts centimetres from the cut end.",
    "card_offcuts": "Left over, drawn with broken lines: {sizes}",
    "card_layers": ", {layers} layers",
    "card_letter": "letter", "card_piece": "piece", "card_count": "cut", "card_through": "through layers",
    "card_interfacing": "and once more of interfacing",
    "card_notions": "To buy besides cloth",
    "card_point": "point", "card_taken": "taken", "card_again": "taken anew",
    "card_page": "page {n} of {of}",
    "checks": "Checks: {held} of {all} hold.",
}  # fmt: skip


def page(code: str, **params: object) -> str:
    """A line of the page."""
    return PAGE[code].format(**params)
