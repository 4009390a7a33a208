"""What is said with every file that is served as it is."""

from wsgiref.headers import Headers


def for_a_file(headers: Headers, path: str, url: str) -> None:
    """A file opened by itself runs nothing and is in nobody's frame."""
    headers["Content-Security-Policy"] = "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'"
    headers["X-Content-Type-Options"] = "nosniff"
