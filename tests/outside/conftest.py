"""The plans whose files are read back."""

import json
from pathlib import Path

import pytest

from cutting.formats import read_job
from cutting.plan import plan
from tests.jobs import MARIT


@pytest.fixture(scope="session")
def suit():
    """The job of the demo's jumpsuit."""
    return json.loads((Path(__file__).parents[2] / "demo/jobs/crew-jumpsuit.json").read_text())


@pytest.fixture(scope="session")
def palazzo():
    return plan(read_job(MARIT), by_width=False)


@pytest.fixture(scope="session")
def jumpsuit(suit):
    return plan(read_job(suit), by_width=False)
