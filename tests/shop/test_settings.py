"""Settings for real use are apart from the demo's and refuse to start without what keeps them safe."""

import os
import subprocess
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
SAFE = {"PLAVET_SECRET_KEY": "0123456789abcdefghij" * 3, "PLAVET_HOSTS": "plavet.example, www.plavet.example"}


def manage(*words, **changes):
    own = {key: value for key, value in (os.environ | SAFE | changes).items() if value is not None}
    own["DJANGO_SETTINGS_MODULE"] = "shop.settings.production"
    return subprocess.run(
        [sys.executable, "manage.py", *words], cwd=ROOT, env=own, text=True, capture_output=True, check=False
    )


def test_djangos_own_list_for_real_use_has_nothing_to_say():
    done = manage("check", "--deploy", "--fail-level", "WARNING")
    assert done.returncode == 0, done.stdout + done.stderr


@pytest.mark.parametrize(
    ("changes", "says"),
    [
        ({"PLAVET_HOSTS": None}, "PLAVET_HOSTS"),
        ({"PLAVET_HOSTS": " , "}, "PLAVET_HOSTS"),
        ({"PLAVET_HOSTS": "*"}, "PLAVET_HOSTS"),
        ({"PLAVET_SECRET_KEY": "short"}, "PLAVET_SECRET_KEY"),
        ({"PLAVET_SECRET_KEY": "a" * 60}, "PLAVET_SECRET_KEY"),
    ],
)
def test_what_is_missing_stops_it_by_name(changes, says):
    done = manage("check", **changes)
    assert done.returncode != 0
    assert says in done.stdout + done.stderr
    assert "Traceback" not in done.stderr


def test_a_large_answer_is_compressed_and_a_small_one_is_left(owner, order):
    packed = owner.http.get(f"/api/orders/{order['id']}", headers={"accept-encoding": "gzip"})
    assert packed["Content-Encoding"] == "gzip"
    plain = owner.http.get(f"/api/orders/{order['id']}")
    assert len(packed.content) < len(plain.content) / 2
    small = owner.http.get("/api/session", headers={"accept-encoding": "gzip"})
    assert "Content-Encoding" not in small or len(small.content) > 100
