"""The line to the gateway that delivers messages: each is put under its own id, so that the same again is one."""

import json
from http.client import HTTPConnection, HTTPException
from typing import Literal
from urllib.parse import urlsplit
from uuid import UUID

from django.conf import settings

ANSWERS_IN = 5.0
"""A gateway answers within so many seconds, or it is taken to be down: it may have the message all the same."""
Answer = Literal["taken", "refused", "down"]
TAKEN, REFUSED = (200, 201), 422


def there() -> bool:
    """Whether this workshop's machine has a gateway."""
    return bool(settings.PLAVET_POST)


def put(id: UUID, to: str, text: str) -> Answer:
    """Give the gateway a message: it has taken it, refuses whom it is for, or cannot be reached."""
    place = urlsplit(f"//{settings.PLAVET_POST}")
    line = HTTPConnection(place.hostname or "127.0.0.1", place.port or 9125, timeout=ANSWERS_IN)
    try:
        line.request(
            "PUT", f"/messages/{id}", json.dumps({"to": to, "text": text}), {"Content-Type": "application/json"}
        )
        status = line.getresponse().status
    except (OSError, HTTPException, ValueError):
        return "down"
    finally:
        line.close()
    return "taken" if status in TAKEN else "refused" if status == REFUSED else "down"
