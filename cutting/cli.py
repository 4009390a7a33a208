"""./plavet plan: job files in, plans out; no server needed.

Exit 0: every draft was made; 2: one was not; 1: our own fault.
"""

import argparse
import json
import sys
from pathlib import Path
from typing import Any

from cutting.drawing import PAPERS, PaperName
from cutting.errors import CuttingError, refuse
from cutting.export.text import plan_to_text
from cutting.files import FORMATS, Source, files_of, wire_to_json
from cutting.formats import plan_to_wire, problems_to_wire, read_job_text
from cutting.formats.plan_v1 import to_model
from cutting.plan import Plan, plan
from cutting.where import JOB
from cutting.words import ENGLISH


def _arguments(words: list[str]) -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="plavet plan", description="Draft, lay and check job files.")
    parser.add_argument("jobs", nargs="+", metavar="job", help="a job file, or - for standard input")
    parser.add_argument("--json", action="store_true", help="the plan as JSON; of several jobs one plan a line")
    parser.add_argument("--out", metavar="DIR", help="write files there; of several jobs a folder each, by their names")
    parser.add_argument("--formats", default="json,svg", help=f"which files: {','.join(FORMATS)}")
    parser.add_argument("--paper", default="A4", choices=PAPERS, help="of pdf: the pattern in true size on this paper")
    return parser.parse_args(words)


def _made(text: bytes, by_width: bool) -> Plan:
    """The plan of a job's text, with its table of widths or not. Raises CuttingError."""
    asked = read_job_text(text)
    made = plan(asked, by_width)
    if asked.seconds <= 0:
        return made
    # Only a search needs numba and scipy, which take seconds to load.
    from cutting.searching import shortened

    return shortened(made, asked.seconds, asked.seed)


def _write(made: Plan, folder: Path, formats: list[str], paper: PaperName, head: str, job: Any) -> None:
    folder.mkdir(parents=True, exist_ok=True)
    source = Source(to_model(made), ENGLISH, head, job, "Letter" if paper == "Letter" else "A4")
    for file in files_of(formats, paper):
        (folder / file.name).write_bytes(file.made(source))


def _formats(asked: str) -> list[str]:
    formats = [name for name in asked.split(",") if name]
    unknown = [name for name in formats if name not in FORMATS]
    if unknown:
        raise refuse("job.later", JOB / "--formats", word=unknown[0], offered=FORMATS)
    return formats


def _folder(out: str, job: str, several: bool) -> Path:
    return Path(out) / _name(job) if several else Path(out)


def _name(job: str) -> str:
    return Path(job).stem if job != "-" else "standard-input"


def _refused(error: CuttingError, job: str, asked: argparse.Namespace) -> None:
    """Every problem: as JSON, or a line each; of several jobs with the file's name."""
    several = len(asked.jobs) > 1
    wire = problems_to_wire(error)
    if asked.json:
        sys.stdout.write(wire_to_json(wire | ({"job": job} if several else {}), None if several else 1))
        return
    for one in wire["problems"]:
        name = f"{job}: " if several else ""
        print(f"{name}{one['where']}: {one['what']} ({one['mend']})", file=sys.stderr)


def _one(job: str, formats: list[str], asked: argparse.Namespace) -> int:
    """Plan one file and say it; 2 where no draft could be made."""
    several = len(asked.jobs) > 1
    try:
        # Only the plan file has the table of widths, which takes longer than all the rest.
        text = sys.stdin.buffer.read() if job == "-" else Path(job).read_bytes()
        made = _made(text, asked.json or (asked.out is not None and "json" in formats))
    except CuttingError as error:
        _refused(error, job, asked)
        return 2
    except OSError as error:
        print(f"{job}: it cannot be read: {error.strerror} (Check the name and that you may read it.)", file=sys.stderr)
        return 2
    if asked.out:
        _write(made, _folder(asked.out, job, several), formats, asked.paper, _name(job), json.loads(text))
    if several and not asked.json:
        print(f"{job}\n")
    sys.stdout.write(wire_to_json(plan_to_wire(made), None if several else 1) if asked.json else plan_to_text(made))
    sys.stdout.flush()
    return 0


def main(words: list[str]) -> int:
    """Run the command; the exit code: the worst of all files."""
    asked = _arguments(words)
    try:
        formats = _formats(asked.formats)
    except CuttingError as error:
        _refused(error, "", asked)
        return 2
    return max(_one(job, formats, asked) for job in asked.jobs)


if __name__ == "__main__":
    try:
        sys.exit(main(sys.argv[1:]))
    except Exception as error:  # the promise of the command line: one line, no traceback
        print(f"plavet plan: our own fault: {type(error).__name__}: {error}", file=sys.stderr)
        sys.exit(1)
