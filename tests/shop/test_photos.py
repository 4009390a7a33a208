"""Photos of a fitting: the pixels are kept and nothing else, for the workshop, until they are removed."""

import io
import struct
import zlib
from base64 import b64encode

import pytest
from PIL import Image

from shop.clients.models import FittingPhoto
from shop.clients.photos import LONG, MOST_OF_AN_ORDER
from tests.shop.bodies import DOT

MAKER, MODEL, ORIENTATION, TAKEN, PLACE = 271, 272, 274, 306, 0x8825


def taken_by_a_phone(wide=2400, high=1200):
    """A picture that is red at the left, as it lies in the file: the camera was held a quarter turn to the side."""
    picture = Image.new("RGB", (wide, high), "blue")
    picture.paste("red", (0, 0, wide // 2, high))
    beside = picture.getexif()
    beside[MAKER], beside[MODEL], beside[TAKEN], beside[ORIENTATION] = "Quay", "Lens 9", "2026:11:01 10:00:00", 6
    beside.get_ifd(PLACE).update({1: "N", 2: (59.0, 54.0, 12.0)})
    out = io.BytesIO()
    picture.save(out, "JPEG", exif=beside, comment=b"Anna at the quay")
    return out.getvalue()


def bomb():
    """A few bytes that say they are a picture of 60,000 by 60,000."""
    head = struct.pack(">IIBBBBB", 60_000, 60_000, 8, 2, 0, 0, 0)
    parts = [(b"IHDR", head), (b"IDAT", zlib.compress(b"\0" * 999)), (b"IEND", b"")]
    made = (
        struct.pack(">I", len(data)) + name + data + struct.pack(">I", zlib.crc32(name + data)) for name, data in parts
    )
    return b"\x89PNG\r\n\x1a\n" + b"".join(made)


@pytest.fixture
def keep(owner, order, new_id):
    def put(data, id=None):
        picture = data if isinstance(data, str) else b64encode(data).decode()
        body = {"order": order["id"], "taken_on": "2026-11-01", "picture": picture}
        return owner("PUT", f"/photos/{id or new_id()}", body)

    return put


def test_a_photo_is_kept_upright_without_place_hour_and_device(owner, order, keep, new_id):
    raw, id = taken_by_a_phone(), new_id()
    assert all(word in raw for word in (b"Exif", b"Quay", b"Lens 9", b"2026:11:01", b"Anna"))
    status, row = keep(raw, id)
    assert (status, row["by"]) == (200, "Ebba")
    assert keep(raw, id)[0] == 200, "sent twice it is one"
    assert [one["id"] for one in owner.get(f"/orders/{order['id']}/photos")] == [id]
    data = owner.http.get(f"/api/photos/{id}/picture").content
    assert not [word for word in (b"Exif", b"Quay", b"Lens", b"2026", b"Anna", b"http") if word in data]
    with Image.open(io.BytesIO(data)) as read:
        assert (
            read.format,
            read.getexif(),
            set(read.info) - {"jfif", "jfif_version", "jfif_unit", "jfif_density"},
        ) == ("JPEG", {}, set())
        assert read.size == (LONG // 2, LONG), "what the camera's left was is above"
        assert read.getpixel((400, 100))[0] > 200 > 60 > read.getpixel((400, 1500))[0]
    assert owner("DELETE", f"/photos/{id}")[0] == 204
    assert owner.get(f"/orders/{order['id']}/photos") == []


@pytest.mark.parametrize(
    "picture",
    [
        "", "no base64!", b"", b"BM not one", b"<svg xmlns='http://www.w3.org/2000/svg'/>", bomb(),
        taken_by_a_phone()[:2000], b"\xff\xd8\xff" + b"\0" * 600_000, b"GIF89a" + b"\0" * 400,
    ],
)  # fmt: skip
def test_what_is_no_picture_is_refused_in_words_and_nothing_is_kept(keep, picture):
    status, answer = keep(picture)
    assert (status, answer["code"]) == (422, "photo")
    assert answer["title"].endswith(".")
    assert not FittingPhoto._base_manager.exists()


def test_an_order_has_so_many_and_they_go_with_the_client(owner, order, keep):
    for _ in range(MOST_OF_AN_ORDER):
        assert keep(DOT)[0] == 200
    assert keep(DOT)[0] == 422
    assert FittingPhoto._base_manager.count() == MOST_OF_AN_ORDER
    assert owner("DELETE", f"/clients/{order['client']['id']}")[0] in (200, 204)
    assert not FittingPhoto._base_manager.exists()
