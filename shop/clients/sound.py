"""How a name sounds: two spellings of one spoken name give the same letters."""

import re
import unicodedata

_LETTERS = str.maketrans({"ø": "o", "æ": "e", "œ": "e", "ß": "s", "ł": "l", "đ": "d", "ð": "d", "þ": "t"})
_HEARD = (
    (r"sch|sh|sj|ch(?=[ei])", "s"), (r"ph", "f"), (r"[td]h", "t"), (r"dt", "t"), (r"ck|c|q|kh|g(?=h)", "k"),
    (r"x", "ks"), (r"[wu](?=[aeio])", "v"), (r"w", "v"), (r"z", "s"), (r"[yj]", "i"), (r"h", ""), (r"(.)\1+", r"\1"),
)  # fmt: skip


def sounding(text: str) -> str:
    """The words of a text as they are heard, letters only, between single spaces."""
    plain = unicodedata.normalize("NFKD", text.casefold().translate(_LETTERS))
    words = re.findall(r"[^\W\d_]+", "".join(one for one in plain if not unicodedata.combining(one)))
    for spelled, heard in _HEARD:
        words = [re.sub(spelled, heard, word) for word in words]
    return " ".join(words)


def digits(text: str) -> str:
    """The digits of a phone number."""
    return re.sub(r"\D", "", text)
