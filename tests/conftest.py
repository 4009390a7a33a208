"""What every test has: derandomized properties; many more bodies under --deep."""

import gc
import os
from collections.abc import Sequence
from typing import TypeVar

from hypothesis import HealthCheck, settings

Row = TypeVar("Row")

slow = [HealthCheck.too_slow, HealthCheck.data_too_large, HealthCheck.filter_too_much]
settings.register_profile("ci", derandomize=True, deadline=None, max_examples=24, suppress_health_check=slow)
settings.register_profile("deep", derandomize=False, deadline=None, max_examples=2000, suppress_health_check=slow)
settings.load_profile("deep" if os.environ.get("PLAVET_DEEP") else "ci")


def some(rows: Sequence[Row], each: int, start: int = 0) -> list[Row]:
    """Every `each` of many rows in CI, from `start` on; all of them under --deep."""
    return list(rows) if os.environ.get("PLAVET_DEEP") else list(rows)[start % each :: each]


def many(examples: int) -> int:
    """Three fifths of so many examples in CI, where each takes its time; twenty times as many under --deep."""
    return examples * 20 if os.environ.get("PLAVET_DEEP") else max(2, examples * 3 // 5)


def pytest_collection_finish() -> None:
    """What is loaded by now stays: it is not looked through again and again for what nothing refers to any more."""
    gc.collect()
    gc.freeze()
    gc.set_threshold(20_000)
