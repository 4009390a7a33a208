"""Files made from other files: the API's description, the page's types, answers for its tests.

`--check` finds a stale one.
"""

import difflib
import json
import os
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
OPENAPI = ROOT / "shop/api/openapi.json"
TYPES = ROOT / "web/src/api/schema.gen.ts"


def made() -> dict[Path, str]:
    """Each generated file with the text it should hold."""
    import django

    django.setup()
    from shop.api.api import api

    texts = {OPENAPI: json.dumps(api.get_openapi_schema(path_prefix="/api/"), indent=1, sort_keys=True) + "\n"}
    from cutting.formats.job_v1 import JobIn
    from cutting.formats.plan_shape import PlanOut
    from cutting.formats.problems import ProblemsOut

    for name, model in (("job", JobIn), ("plan", PlanOut), ("problems", ProblemsOut)):
        schema = model.model_json_schema(by_alias=True, mode="validation" if name == "job" else "serialization")
        texts[ROOT / f"docs/schema/plavet-{name}.json"] = json.dumps(schema, indent=1, sort_keys=True) + "\n"
    from shop.bridge.designing import design
    from shop.bridge.trade import trade

    # What the server answers, for the tests of the pages.
    job = json.loads((ROOT / "demo/jobs/choir-palazzo.json").read_text())
    for name, answer in (("trade", trade()), ("design", design(job))):
        texts[ROOT / f"web/src/test/{name}.gen.json"] = json.dumps(answer.model_dump(), ensure_ascii=False) + "\n"
    stands = OPENAPI.read_text() if OPENAPI.exists() else ""
    if stands != texts[OPENAPI] and "--check" not in sys.argv:
        OPENAPI.write_text(texts[OPENAPI])
    done = subprocess.run(
        [str(ROOT / ".venv/bin/npx"), "openapi-typescript", str(OPENAPI)],
        cwd=ROOT / "web", text=True, capture_output=True, check=True,
        env={**os.environ, "PATH": f"{ROOT / '.venv/bin'}:{os.environ['PATH']}"},
    )  # fmt: skip
    texts[TYPES] = done.stdout
    return texts


def main() -> int:
    stale = 0
    for path, text in made().items():
        now = path.read_text() if path.exists() else ""
        if now == text:
            continue
        if "--check" in sys.argv:
            stale += 1
            print(f"{path.relative_to(ROOT)} is stale; remake it with: python -m setup.generated")
            print("\n".join(list(difflib.unified_diff(now.splitlines(), text.splitlines(), lineterm=""))[:20]))
        else:
            path.parent.mkdir(parents=True, exist_ok=True)
            path.write_text(text)
            print(f"made {path.relative_to(ROOT)}")
    return 1 if stale else 0


if __name__ == "__main__":
    sys.exit(main())
