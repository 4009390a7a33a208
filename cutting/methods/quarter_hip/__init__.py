"""Quarter hip: the panel is a quarter of the hip, the back comes from the front by known additions."""

from cutting.methods.quarter_hip.back import back
from cutting.methods.quarter_hip.front import front
from cutting.methods.quarter_hip.sums import Sums, work_out

__all__ = ["Sums", "back", "front", "work_out"]
