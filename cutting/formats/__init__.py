"""The wire shapes: a job in, a plan out, problems instead of a plan. The only place that knows pydantic."""

from cutting.formats.job_v1 import read_job, read_job_text
from cutting.formats.plan_v1 import plan_to_wire
from cutting.formats.problems import problems_to_wire

__all__ = ["plan_to_wire", "problems_to_wire", "read_job", "read_job_text"]
