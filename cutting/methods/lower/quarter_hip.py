"""Quarter hip: the panel is a quarter of the hip, the back comes from the front by known additions.

The commonest way, straight on cloth. Common practice, no source.
"""

from cutting.methods.method import Method

QUARTER_HIP = Method("quarter-hip", {"crotch_depth": "hip/4", "crotch_extension": "hip/16", "back_extension": "tip"})
