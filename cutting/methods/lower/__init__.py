"""The methods for lower garments, one file each."""
