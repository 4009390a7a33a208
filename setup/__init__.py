"""Set-up, running and testing: the verbs of ./plavet."""
