"""A property that is worked out once for each object.

The standard library's `cached_property` of Python 3.11 has one lock for all objects of a class, which it holds while a
value is worked out. Lengths are made of lengths of other classes, so two requests at once came to wait for each
other's lock for ever. This one has none: at worst two threads work out the same value.
"""

from collections.abc import Callable
from typing import Any, Generic, TypeVar, overload

Value = TypeVar("Value")


class cached_property(Generic[Value]):
    """What the function answers for an object, kept with the object from the first time it is asked for."""

    def __init__(self, work_out: Callable[[Any], Value]):
        self.work_out = work_out
        self.__doc__ = work_out.__doc__

    def __set_name__(self, owner: type, name: str) -> None:
        self.name = name

    @overload
    def __get__(self, owned: None, owner: type) -> "cached_property[Value]": ...
    @overload
    def __get__(self, owned: object, owner: type) -> Value: ...
    def __get__(self, owned: object | None, owner: type) -> "cached_property[Value] | Value":
        if owned is None:
            return self
        value = self.work_out(owned)
        # From now on it is found there, and this is not asked again.
        owned.__dict__[self.name] = value
        return value
