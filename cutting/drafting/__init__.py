"""The board a method draws on: places, steps as data, edges, darts."""

from cutting.drafting.draft import Dart, Draft, Edge, Wide
from cutting.drafting.place import Place
from cutting.drafting.step import Step

__all__ = ["Dart", "Draft", "Edge", "Place", "Step", "Wide"]
