"""What each file of a plan is, and what one does with it."""

FILES = {
    "calls.pdf": ("Calls", "Every call in the order it is chalked, with its sum, a box to tick and a small drawing of each piece."),
    "lay.pdf": ("Lay", "The cloth to scale with a ruler, how it is folded, and which letter is which piece."),
    "sewing.pdf": ("Sewing", "Every step in its order, with the edges that are sewn, allowance, stitch and minutes, and what is to be minded."),
    "cut-list.pdf": ("Cut list", "Every piece, how often, through how many layers; what is bought besides cloth."),
    "measurements.pdf": ("Measurements", "What this plan was made from, in the order of taking, with room for what is read next time."),
    "pattern-a4.pdf": ("Pattern on A4", "True size, to be stuck together. The first page is a map with squares to measure."),
    "pattern-letter.pdf": ("Pattern on Letter", "True size, to be stuck together. The first page is a map with squares to measure."),
    "pattern-a3.pdf": ("Pattern on A3", "True size, to be stuck together. The first page is a map with squares to measure."),
    "pattern-a0.pdf": ("Pattern on A0", "True size, for a print shop: sheets of 841 by 1189 mm."),
    "pattern-roll.pdf": ("Pattern on a roll", "True size in one, for a print shop: paper 36 in wide."),
    "pieces.hpgl": ("For a pen plotter", "HPGL: each piece after the other, a pen for cut lines, one for sewing lines, one for notches and names."),
    "lay.hpgl": ("The lay for a pen plotter", "HPGL: every piece where it is placed on the folded cloth, in true size."),
    "pieces.dxf": ("For a cutting machine", "DXF in mm: a block a piece, its lines on numbered layers, curves as splines too."),
    "pieces-r12.dxf": ("For an older cutting machine", "DXF of release 12, in mm: a block a piece, polylines alone."),
    "plan.svg": ("Drawing", "SVG in true size: a group a piece, its lines by what they are."),
    "lay.svg": ("Drawing of the lay", "SVG in true size: the folded cloth, every piece where it is placed, a ruler."),
    "numbers.csv": ("Numbers of the draft as a table", "Every number with its sum, in mm."),
    "calls.csv": ("Calls as a table", "Every call as it is spoken, with its number and its sum."),
    "ledger.csv": ("Girths all round as a table", "Body, ease, seams, darts and what comes out, in mm."),
    "cut-list.csv": ("Cut list as a table", "Every piece, how often, through how many layers, how large."),
    "notions.csv": ("Notions as a table", "Zips, elastic, hooks and tapes, by their length."),
    "job.json": ("The job", "JSON: the measures, the cloth and every choice, from which the same plan is made again."),
    "plan.json": ("The whole plan", "JSON as docs/file-formats.md says: all that is known of this plan."),
}  # fmt: skip


def file_words(name: str) -> tuple[str, str]:
    """What a file is called, and what it is for."""
    return FILES[name]
