"""The client's measurements: the catalogue of points, a body as the methods read it, doubts and second ways."""

from cutting.body.body import Body
from cutting.body.catalogue import CATALOGUE, NEEDED, SESSIONS, VIEWS, MeasurePoint, nearest, session, session_for
from cutting.body.correction import ONE_SIDED, Correction, Side
from cutting.body.doubts import doubts, fits, other_unit, usual
from cutting.body.invented import invented
from cutting.body.sample import with_sample
from cutting.body.ways import FLAT, WAYS, Way, from_flat, ways_to

__all__ = [
    "CATALOGUE", "FLAT", "NEEDED", "ONE_SIDED", "SESSIONS", "VIEWS", "WAYS", "Body", "Correction", "MeasurePoint",
    "Side", "Way", "doubts", "fits", "from_flat", "invented", "nearest", "other_unit", "session", "session_for",
    "usual", "ways_to", "with_sample",
]  # fmt: skip
