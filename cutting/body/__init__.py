"""The client's measurements: the catalogue of points, and a body as the methods read it."""

from cutting.body.body import Body
from cutting.body.catalogue import CATALOGUE, Point, nearest

__all__ = ["CATALOGUE", "Body", "Point", "nearest"]
