"""
The log: a line of JSON for each thing worth knowing, with the id of the request, of the person and of the workshop. No
names, contacts, measures or typed text: of an error only its kind and where it happened, never what it says, since a
database says in it which value it would not take.
"""

import traceback
from collections.abc import MutableMapping
from pathlib import Path
from types import TracebackType
from typing import Any

import structlog

ROOT = Path(__file__).resolve().parents[2]
Line = MutableMapping[str, Any]
DEEPEST = 12
"""So many places of an error are named, the last ones."""


def without_words(_: Any, __: str, line: Line) -> Line:
    """An error as its kind and its places; what it says stays out."""
    given = line.pop("exc_info", None)
    error = given[1] if isinstance(given, tuple) else given
    if isinstance(error, BaseException):
        line["error"] = " from ".join(type(one).__name__ for one in _causes(error))
        line["places"] = _places(error.__traceback__)
    line.pop("exception", None)
    line.pop("stack_info", None)
    return line


def _causes(error: BaseException) -> list[BaseException]:
    found: list[BaseException] = []
    here: BaseException | None = error
    while here is not None and here not in found:
        found.append(here)
        here = here.__cause__ or here.__context__
    return found


def _places(trace: TracebackType | None) -> list[str]:
    frames = traceback.extract_tb(trace)[-DEEPEST:]
    return [f"{Path(one.filename).name if _is_foreign(one.filename) else _ours(one.filename)}:{one.lineno} {one.name}"
            for one in frames]  # fmt: skip


def _is_foreign(file: str) -> bool:
    return not Path(file).is_relative_to(ROOT) or ".venv" in file


def _ours(file: str) -> str:
    return str(Path(file).relative_to(ROOT))


SHARED: list[Any] = [
    structlog.contextvars.merge_contextvars,
    structlog.stdlib.add_log_level,
    structlog.stdlib.add_logger_name,
    structlog.processors.TimeStamper(fmt="iso", utc=True, key="at"),
    without_words,
]
"""What every line goes through, ours and those of the packages."""

LOGGING: dict[str, Any] = {
    "version": 1,
    "disable_existing_loggers": False,
    "formatters": {
        "lines": {
            "()": structlog.stdlib.ProcessorFormatter,
            "foreign_pre_chain": SHARED,
            "processors": [
                structlog.stdlib.ProcessorFormatter.remove_processors_meta,
                structlog.processors.JSONRenderer(sort_keys=True),
            ],
        }
    },
    "handlers": {"console": {"class": "logging.StreamHandler", "formatter": "lines"}},
    "root": {"handlers": ["console"], "level": "WARNING"},
    "loggers": {
        "plavet": {"level": "INFO"},
        # It writes whole addresses, with codes of tapes and links in them; ours says the same by patterns.
        "django.request": {"level": "CRITICAL"},
    },
}
"""Django's LOGGING: ours from INFO on, all else from WARNING."""


def configure() -> None:
    """Lines that are logged by structlog go the same way as all others."""
    structlog.configure(
        processors=[*SHARED, structlog.stdlib.ProcessorFormatter.wrap_for_formatter],
        logger_factory=structlog.stdlib.LoggerFactory(), wrapper_class=structlog.stdlib.BoundLogger,
        cache_logger_on_first_use=False,
    )  # fmt: skip


def log() -> structlog.stdlib.BoundLogger:
    """Our own log."""
    found: structlog.stdlib.BoundLogger = structlog.get_logger("plavet")
    return found
