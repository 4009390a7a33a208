"""The first page of a PDF as a picture, and how many pages it has."""

from io import BytesIO
from threading import Lock

import pypdfium2

ONE_AT_A_TIME = Lock()
"""The library is not made for several threads."""


def first_page(data: bytes, width: int) -> tuple[bytes, int]:
    """As a PNG so many px wide."""
    with ONE_AT_A_TIME:
        document = pypdfium2.PdfDocument(data)
        try:
            page = document[0]
            image = page.render(scale=width / page.get_width()).to_pil()
            out = BytesIO()
            image.convert("L").save(out, "PNG", optimize=True)
            return out.getvalue(), len(document)
        finally:
            document.close()
