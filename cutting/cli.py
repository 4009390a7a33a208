"""./plavet plan: a job file in, a plan out; no server needed. Exit 0: a draft was made; 2: none; 1: our own fault."""

import argparse
import json
import sys
from pathlib import Path

from cutting.errors import CuttingError, refuse
from cutting.export import plan_to_svg, plan_to_text
from cutting.formats import plan_to_wire, problems_to_wire, read_job_text
from cutting.plan import Plan, plan
from cutting.searching import shortened

FORMATS = ("json", "svg")


def _arguments(words: list[str]) -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="plavet plan", description="Draft, lay and check one job file.")
    parser.add_argument("job", help="the job file, or - for standard input")
    parser.add_argument("--json", action="store_true", help="the plan as JSON on standard output")
    parser.add_argument("--out", metavar="DIR", help="write files there")
    parser.add_argument("--formats", default="json,svg", help="which files: json,svg")
    return parser.parse_args(words)


def _write(made: Plan, folder: Path, formats: list[str]) -> None:
    folder.mkdir(parents=True, exist_ok=True)
    for name in formats:
        text = plan_to_svg(made) if name == "svg" else _json(plan_to_wire(made))
        (folder / f"plan.{name}").write_text(text, encoding="utf-8")


def _json(wire: dict[str, object]) -> str:
    return json.dumps(wire, indent=1, ensure_ascii=False, allow_nan=False) + "\n"


def main(words: list[str]) -> int:
    """Run the command; the exit code."""
    asked = _arguments(words)
    try:
        formats = [name for name in asked.formats.split(",") if name]
        unknown = [name for name in formats if name not in FORMATS]
        if unknown:
            raise refuse("job.later", "--formats", word=unknown[0], offered=", ".join(FORMATS))
        text = sys.stdin.buffer.read() if asked.job == "-" else Path(asked.job).read_bytes()
        job = read_job_text(text)
        made = shortened(plan(job), job.seconds, job.seed)
    except CuttingError as error:
        wire = problems_to_wire(error)
        if asked.json:
            sys.stdout.write(_json(wire))
        else:
            for one in wire["problems"]:
                print(f"{one['where']}: {one['what']} ({one['mend']})", file=sys.stderr)
        return 2
    except OSError as error:
        print(
            f"{asked.job}: it cannot be read: {error.strerror} (Check the name and that you may read it.)",
            file=sys.stderr,
        )
        return 2
    if asked.out:
        _write(made, Path(asked.out), formats)
    sys.stdout.write(_json(plan_to_wire(made)) if asked.json else plan_to_text(made))
    return 0


if __name__ == "__main__":
    try:
        sys.exit(main(sys.argv[1:]))
    except Exception as error:  # the promise of the command line: one line, no traceback
        print(f"plavet plan: our own fault: {type(error).__name__}: {error}", file=sys.stderr)
        sys.exit(1)
