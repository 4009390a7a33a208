"""Settings for real use are apart from the demo's and refuse to start without what keeps them safe."""

import os
import subprocess
import sys
from pathlib import Path
from tempfile import TemporaryDirectory

import pytest
from django.core.management import call_command
from django.db import connection
from django.http import HttpResponse
from django.test import Client as Http
from django.test import RequestFactory
from django.utils.module_loading import import_string
from whitenoise.compress import Compressor
from whitenoise.middleware import WhiteNoiseMiddleware

from shop.settings import base

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
        ({"PLAVET_PLAIN": "1"}, "PLAVET_PLAIN is for this machine alone"),
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


def test_scripts_are_kept_in_brotli_too():
    """Where its package is missing they would be served by gzip, which nobody would see."""
    assert base.STORAGES["staticfiles"]["BACKEND"] == "whitenoise.storage.CompressedStaticFilesStorage"
    assert "br" in {encoding for encoding, _ in _compressed(b"let chalk = 1;" * 400)}


def _compressed(text):
    """What whitenoise keeps beside a script: (encoding, bytes)."""
    with TemporaryDirectory() as folder:
        path = Path(folder) / "app.js"
        path.write_bytes(text)
        made = Compressor(log=lambda *_: None).compress(str(path))
        return [("br" if one.endswith(".br") else "gzip", Path(one).read_bytes()) for one in made]


def test_a_password_is_kept_as_argon2id_at_19_mib():
    """Read from the kept text itself; the tests' own settings have a quicker one."""
    (name,) = base.PASSWORD_HASHERS
    _, kind, version, params, salt, _ = import_string(name)().encode("a long enough word", "salt" * 6).split("$")
    assert (kind, version, params) == ("argon2id", "v=19", "m=19456,t=2,p=1")
    assert salt


def test_the_page_is_no_file(settings, tmp_path):
    """As a file it would come without its headers, and be kept for a year."""
    settings.STATIC_ROOT = tmp_path
    call_command("collectstatic", interactive=False, verbosity=0)
    kept = {str(path.relative_to(tmp_path)) for path in tmp_path.rglob("*") if path.is_file()}
    assert "mark.svg" in kept
    assert any(name.startswith("assets/") and name.endswith(".js") for name in kept)
    assert not [name for name in kept if name.endswith(".html")]
    files = WhiteNoiseMiddleware(lambda _: HttpResponse(status=404))
    answer = files(RequestFactory().get("/static/mark.svg"))
    assert answer.status_code == 200
    assert "frame-ancestors 'none'" in answer["Content-Security-Policy"]
    assert answer["X-Content-Type-Options"] == "nosniff"
    assert "Access-Control-Allow-Origin" not in answer


def test_the_databases_log_keeps_no_statement(db):
    with connection.cursor() as cursor:
        cursor.execute("select name, setting from pg_settings where name like 'log%%'", [])
        log = dict(cursor.fetchall())
    assert log["log_min_error_statement"] == "panic"
    assert log["log_parameter_max_length_on_error"] == "0"
    assert log["log_error_verbosity"] == "terse"
    assert log["log_statement"] == "none"


def test_the_application_is_no_superuser_of_the_database(db):
    with connection.cursor() as cursor:
        cursor.execute("select rolsuper, rolcreaterole, rolreplication from pg_roles where rolname = current_user")
        assert cursor.fetchone() == (False, False, False)


@pytest.mark.parametrize(
    ("method", "path", "status"),
    [
        ("GET", "/", 200), ("GET", "/orders/x/mark", 200), ("GET", "/api/session", 401), ("GET", "/api/none", 404),
        ("PATCH", "/api/orders", 405), ("GET", "/api/%00", 400), ("POST", "/api/session", 415), ("GET", "/static/none", 404),
    ],
)  # fmt: skip
def test_every_kind_of_answer_runs_nothing_of_others_and_is_in_nobodys_frame(db, method, path, status):
    answer = Http().generic(method, path, b"{}" if method == "POST" else b"", content_type="text/plain")
    assert answer.status_code == status
    assert "frame-ancestors 'none'" in answer["Content-Security-Policy"]
    assert (answer["X-Content-Type-Options"], answer["X-Frame-Options"]) == ("nosniff", "DENY")
    if path.startswith("/api/") or status == 200:
        assert answer["Cache-Control"] == "no-store"
