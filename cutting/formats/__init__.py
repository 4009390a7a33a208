"""The wire shapes: a job file in; a plan as it is stored, and as the plan file in words; problems out."""

from cutting.formats.job_v1 import read_job, read_job_text
from cutting.formats.keep import Kept, keep
from cutting.formats.plan_v1 import plan_to_wire, read_kept, read_lay
from cutting.formats.problems import problems_to_wire

__all__ = ["Kept", "keep", "plan_to_wire", "problems_to_wire", "read_job", "read_job_text", "read_kept", "read_lay"]
