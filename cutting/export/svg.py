"""A sheet as an SVG in true size: a group a figure, its strokes by role."""

from xml.sax.saxutils import escape, quoteattr

from cutting.drawing import PENS, Figure, Sheet, path_data

INK = "#141830"
MIDDLE = ' text-anchor="middle"'
STYLE = f"path{{fill:none;stroke:{INK}}}text{{font-family:sans-serif;font-weight:600;fill:{INK}}}" + "".join(
    f".{role}{{stroke-width:{pen.width}"
    + (f";stroke-dasharray:{' '.join(f'{size:g}' for size in pen.dash)}" if pen.dash else "")
    + "}"
    for role, pen in PENS.items()
)


def sheet_to_svg(sheet: Sheet) -> str:
    """One drawing, 1 user unit = 1 mm, width and height in mm. A figure's title is the first of its texts."""
    width, height = f"{sheet.width:.3f}", f"{sheet.height:.3f}"
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width}mm" height="{height}mm" '
        f'viewBox="0 0 {width} {height}"><style>{STYLE}</style>{"".join(map(_figure, sheet.figures))}</svg>\n'
    )


def _figure(figure: Figure) -> str:
    out = [f"<title>{escape(figure.texts[0].text)}</title>"] if figure.texts else []
    for stroke in figure.strokes:
        name = f" id={quoteattr(f'{figure.id}.{stroke.role}')}" if stroke.closed else ""
        out.append(f'<path class="{stroke.role}"{name} d="{path_data(stroke, figure.at, 4)}"/>')
    for text in figure.texts:
        x, y = text.at.across + figure.at.across, text.at.down + figure.at.down
        out.append(
            f'<text transform="translate({x:.2f} {y:.2f}) rotate({text.angle:g})" font-size="{text.height:g}"'
            f"{MIDDLE if text.middle else ''}>{escape(text.text)}</text>"
        )
    return f"<g id={quoteattr(figure.id)}>{''.join(out)}</g>"
