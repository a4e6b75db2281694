"""What a brand offers, in sentences and lists. The phrasings were collected before the grammar."""

import pytest

from formulon.core.identity.statements.offers import offers_told

OFFERS = [
    ("We offer guided walks, night tours and star talks.", ["Guided walks", "Night tours", "Star talks"]),
    ("Our services include bookbinding, repair and gilding.", ["Bookbinding", "Repair", "Gilding"]),
    ("Our services are tuning, repair and restoration.", ["Tuning", "Repair", "Restoration"]),
    ("We specialise in fretwork and in inlays.", ["Fretwork", "Inlays"]),
    ("We make and sell oak baskets, cradles and chair seats.", ["Oak baskets", "Cradles", "Chair seats"]),
    (
        "You can book day courses, family mornings or private lessons with us.",
        ["Day courses", "Family mornings", "Private lessons"],
    ),
    ("Choose from a half-day course, a weekend course or a summer week.", ["Half-day course", "Weekend course", "Summer week"]),
    ("What we do: sails, awnings, covers.", ["Sails", "Awnings", "Covers"]),
    ("On offer are school visits, lectures and workshops.", ["School visits", "Lectures", "Workshops"]),
    ("We teach weaving, dyeing and spinning.", ["Weaving", "Dyeing", "Spinning"]),
    ("We run courses in letter cutting, gilding and drawing.", ["Letter cutting", "Gilding", "Drawing"]),
    ("The workshop offers repairs, re-caning and upholstery.", ["Repairs", "Re-caning", "Upholstery"]),
    ("Services: surveys, drawings, site visits", ["Surveys", "Drawings", "Site visits"]),
    ("Among our services are grooming, boarding and training.", ["Grooming", "Boarding", "Training"]),
    ("We provide advice, plans and building permits.", ["Advice", "Plans", "Building permits"]),
    ("Wir bieten Führungen, Vorträge und Kurse an.", ["Führungen", "Vorträge", "Kurse"]),
    ("Zu unserem Angebot gehören Beratung, Planung und Bauleitung.", ["Beratung", "Planung", "Bauleitung"]),
    ("Unsere Leistungen: Reparatur, Stimmung, Verleih", ["Reparatur", "Stimmung", "Verleih"]),
    ("Unser Angebot umfasst Einzelstunden, Gruppen und Ferienkurse.", ["Einzelstunden", "Gruppen", "Ferienkurse"]),
    ("Bei uns gibt es Brot, Brötchen und Kuchen.", ["Brot", "Brötchen", "Kuchen"]),
    ("Wir sind spezialisiert auf Dachstühle und Treppen.", ["Dachstühle", "Treppen"]),
    ("Sie können bei uns Boote, Räder und Zelte mieten.", ["Boote", "Räder", "Zelte"]),
    ("Wir unterrichten Geige, Bratsche und Cello.", ["Geige", "Bratsche", "Cello"]),
    ("Das bieten wir: Hausbesuche, Nachtdienst, Labor", ["Hausbesuche", "Nachtdienst", "Labor"]),
    ("Wir geben Kurse in Weben, Färben und Spinnen.", ["Weben", "Färben", "Spinnen"]),
    ("Die Werkstatt bietet Reparaturen, Flechtarbeiten und Kurse.", ["Reparaturen", "Flechtarbeiten", "Kurse"]),
    ("Angeboten werden Lesungen, Konzerte und Filmabende.", ["Lesungen", "Konzerte", "Filmabende"]),
]
NONE = [
    "We offer no discounts and no refunds.", "We cannot offer tours and talks.", "We do not offer repairs or rentals.",
    "We offer a warm welcome.", "They offer colour, light and space.", "We offer you peace, and you give it back.",
    "Never offer red, blue and green together.", "Our services are good, honest and quick.", "Choose from these colours: red, blue.",
    "Wir bieten keine Führungen und keine Kurse an.", "Wir bieten Ihnen Ruhe.", "Das bietet sich an, und wir tun es.",
    "Bei uns gibt es keinen Kuchen und kein Eis.", "Wir sind spezialisiert.", "Unsere Leistungen sind gut, ehrlich und schnell.",
]  # fmt: skip


@pytest.mark.parametrize(("said", "names"), OFFERS)
def test_offers_are_told(said: str, names: list[str]) -> None:
    assert [one.value for one in offers_told(f"Before it. \n{said}\nAfter it.")] == names


@pytest.mark.parametrize("said", NONE)
def test_what_is_no_offer(said: str) -> None:
    assert offers_told(said) == []
