"""One thing has one name: what docs/glossary.md retires is in no sentence of the core and on no page."""

import ast
import re
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
SHOWN = re.compile(r">([^<>{}=;]+)<|\"([^\"\n]* [^\"\n]*)\"|`([^`]*)`")
"""In a page: text between tags, texts with a space in them, and those with a value in them."""


def retired() -> list[str]:
    rows = (ROOT / "docs/glossary.md").read_text().split("## Not said")[1].splitlines()
    cells = [row.split("|")[1] for row in rows if row.startswith("| ") and not row.startswith("| not |")]
    return [word.strip() for cell in cells for word in cell.split(",")]


def sentences() -> list[tuple[str, str]]:
    """Every text of the core's words that is not a key or a code, with its file."""
    found = []
    for path in sorted((ROOT / "cutting/words/en").glob("*.py")):
        tree = ast.parse(path.read_text())
        docs = {id(node.value) for node in ast.walk(tree) if isinstance(node, ast.Expr)}
        keys = {id(key) for node in ast.walk(tree) if isinstance(node, ast.Dict) for key in node.keys}
        found += [
            (path.name, re.sub(r"{[^}]*}", "", node.value))
            for node in ast.walk(tree)
            if isinstance(node, ast.Constant) and isinstance(node.value, str) and id(node) not in docs | keys
        ]
    return found


def on_pages() -> list[tuple[str, str]]:
    """Every text of the pages, with its file; without comments, imports and tests."""
    found = []
    for path in sorted((ROOT / "web/src").rglob("*.tsx")):
        if ".test." in path.name or path.parent.name == "test":
            continue
        code = re.sub(r"/\*.*?\*/|^\s*//.*$|^import .*?;$", "", path.read_text(), flags=re.S | re.M)
        texts = (next(filter(None, match)) for match in SHOWN.findall(code) if any(match))
        found += [(path.name, re.sub(r"\$\{[^}]*\}", "", text)) for text in texts]
    return found


@pytest.mark.parametrize("word", retired())
def test_what_the_glossary_retires_is_said_nowhere(word):
    said = re.compile(rf"(?<![\w-]){re.escape(word)}(?![\w-])", re.IGNORECASE)
    assert [(name, text.strip()) for name, text in sentences() + on_pages() if said.search(text)] == []


def test_the_texts_are_found():
    """The two readers see what is said: a known sentence of each."""
    assert any("right sides together" in text for _, text in sentences())
    assert any("At most" in text or "could still be saved" in text for _, text in on_pages())
    assert len(sentences()) > 400
    assert len(on_pages()) > 600
