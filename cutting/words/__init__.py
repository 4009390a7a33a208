"""What the core says: all below hands out codes, parameters and lengths; a language makes sentences of them.

A second language is one more folder beside `en`, and its line in LANGUAGES.
"""

from cutting.words import en
from cutting.words.few import in_few_terms
from cutting.words.language import CallWords, Language, Taking
from cutting.words.sums import is_sum, with_numbers, with_sum

LANGUAGES: dict[str, Language] = {"en": en}
ENGLISH: Language = LANGUAGES["en"]

__all__ = [
    "ENGLISH",
    "LANGUAGES",
    "CallWords",
    "Language",
    "Taking",
    "in_few_terms",
    "is_sum",
    "with_numbers",
    "with_sum",
]
