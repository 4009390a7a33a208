"""What draws on a page of a PDF: strokes and lines of text, in mm."""

from collections.abc import Sequence
from threading import RLock

from reportlab import rl_config
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

from cutting.drawing import PENS, Figure, Stroke, Text
from cutting.export import letters
from cutting.export.letters import FONT, STRONG
from cutting.geometry import ORIGIN, Cubic, Point

ONE_AT_A_TIME = RLock()
"""A font counts the letters that a file needs of it, for all threads: files are made one after the other."""
# What is packed is written as it is: as letters it is a quarter longer, and takes a tenth of the time.
rl_config.useA85 = 0


class Ink:
    """Draws in mm from the upper left corner of a page, down and to the right, as sheets are; `thin` times as thick."""

    def __init__(self, canvas: Canvas, thin: float = 1.0):
        self.canvas, self.thin = canvas, thin

    def page(self, width: float, height: float) -> None:
        self.canvas.setPageSize((width * mm, height * mm))
        self.canvas.transform(mm, 0, 0, -mm, 0, height * mm)
        self.canvas.setLineJoin(1)

    def end(self) -> None:
        self.canvas.showPage()

    def stroke(self, stroke: Stroke, at: Point) -> None:
        pen, path = PENS[stroke.role], self.canvas.beginPath()
        self.canvas.setLineWidth(self.thin * pen.width)
        self.canvas.setDash(*([[self.thin * one for one in pen.dash]] if pen.dash else []))
        path.moveTo(*stroke.path.start.plus(at))
        for segment in stroke.path.segments:
            end = segment.end.plus(at)
            if isinstance(segment, Cubic):
                path.curveTo(*segment.one.plus(at), *segment.two.plus(at), *end)
            else:
                path.lineTo(*end)
        if stroke.closed:
            path.close()
        self.canvas.drawPath(path)

    def write(self, text: Text, at: Point = ORIGIN, strong: bool = False) -> None:
        """A line of text, its capitals about as high as it says."""
        self.canvas.saveState()
        self.canvas.translate(*text.at.plus(at))
        self.canvas.rotate(text.angle)
        self.canvas.scale(1, -1)
        font = STRONG if strong else FONT
        left = -0.5 * letters.width(text.text, font) * text.height if text.middle else 0.0
        letters.write(self.canvas, text.text, font, text.height, left)
        self.canvas.restoreState()

    def write_within(self, text: str, at: Point, height: float, width: float, strong: bool = False) -> None:
        """A line of text that is no wider: smaller where it has to be."""
        wide = letters.width(text, STRONG if strong else FONT) * height
        self.write(Text(text, at, height * min(1.0, width / wide) if wide else height), strong=strong)

    def figures(self, figures: Sequence[Figure]) -> None:
        for figure in figures:
            for stroke in figure.strokes:
                self.stroke(stroke, figure.at)
            for text in figure.texts:
                self.write(text, figure.at, strong=True)
