"""Addresses and telephone numbers as they stand in texts, without a label too. The phrasings were collected before the grammar. All
places are made up; the forms of postcodes are those of the Universal Postal Union's addressing systems (from memory), telephone numbers
are of ranges kept for fiction where there are such (Ofcom, the Bundesnetzagentur; from memory)."""

import pytest

from formulon.core.identity.statements.reaching import addresses_told, phones_told

ADDRESSES = [
    ("The Granary, Mill Row, Tarnbeck TB4 2AL", "The Granary, Mill Row, Tarnbeck TB4 2AL"),
    ("12 Mill Row, Tarnbeck TB4 2AL", "12 Mill Row, Tarnbeck TB4 2AL"),
    ("You will find us at 12 Mill Row, Tarnbeck, TB4 2AL.", "12 Mill Row, Tarnbeck, TB4 2AL"),
    ("Write to us: Ashlock Letterpress, The Granary, Mill Row, Tarnbeck TB4 2AL", "The Granary, Mill Row, Tarnbeck TB4 2AL"),
    ("12a High Street · Lower Fenwick · LF12 9QT", "12a High Street, Lower Fenwick, LF12 9QT"),
    ("Flat 3, 7 Quay Lane, Saltmouth SM1 1AA", "7 Quay Lane, Saltmouth SM1 1AA"),
    ("12 Mill Row\nTarnbeck\nTB4 2AL", "12 Mill Row, Tarnbeck, TB4 2AL"),
    ("The Old Chapel\n4 Church Hill\nUpper Quill QM3 5RT", "4 Church Hill, Upper Quill QM3 5RT"),
    ("412 Juniper Avenue, Cold Creek, MT 59099", "412 Juniper Avenue, Cold Creek, MT 59099"),
    ("Our shop is at 88 Dock Street, Port Harrow, ME 04099-1234.", "88 Dock Street, Port Harrow, ME 04099-1234"),
    ("Dünenweg 8, 17419 Ahlbeck", "Dünenweg 8, 17419 Ahlbeck"),
    ("Sie finden uns in der Alten Gasse 12a, 26999 Rohrsand.", "Alten Gasse 12a, 26999 Rohrsand"),
    ("Besuchen Sie uns: Am Deich 4, 26999 Rohrsand", "Am Deich 4, 26999 Rohrsand"),
    ("Anleger 3 | D-26999 Rohrsand", "Anleger 3, D-26999 Rohrsand"),
    ("Werkstatt Reet\nAn der Mühle 17\n26999 Rohrsand", "An der Mühle 17, 26999 Rohrsand"),
    ("Hauptstraße 112, 8099 Oberwald am See", "Hauptstraße 112, 8099 Oberwald am See"),
    ("Hauptstr. 112 – 8099 Oberwald", "Hauptstr. 112, 8099 Oberwald"),
    (
        "Unsere Praxis liegt in der Karl-Brons-Straße 3–5, 17419 Ahlbeck bei Wolgin.",
        "Karl-Brons-Straße 3–5, 17419 Ahlbeck bei Wolgin",
    ),
    ("14 rue des Tilleuls, 29999 Kerlann", "14 rue des Tilleuls, 29999 Kerlann"),
    ("14, rue des Tilleuls\n29999 Kerlann", "14, rue des Tilleuls, 29999 Kerlann"),
    ("Via del Mulino 9, 37999 Valdoro", "Via del Mulino 9, 37999 Valdoro"),
    ("Calle Mayor 21, 28999 Villaseca", "Calle Mayor 21, 28999 Villaseca"),
    ("Molenstraat 6, 1099 XB Waterdam", "Molenstraat 6, 1099 XB Waterdam"),
    ("ul. Lipowa 7, 00-999 Brzozowo", "ul. Lipowa 7, 00-999 Brzozowo"),
    ("Kvarngatan 11, 123 99 Sjövik", "Kvarngatan 11, 123 99 Sjövik"),
    ("Rua da Fonte 30, 1099-123 Vilamar", "Rua da Fonte 30, 1099-123 Vilamar"),
]
NO_ADDRESSES = [
    "In 1911, 2008 people came.", "Chapter 7, 12000 Words", "CMYK 12, 4500 Kelvin", "We print 12, 24 and 48 sheets.", "Halle 7, 2027 Neues",
    "Night 12, 1200 Visitors came to see us.", "A4, 160 g", "Red 40, Blue 60, Green 20", "Pantone 289 C, CMYK 100 80 20 10",
    "Am 5. Juni 2027, 10 Uhr", "Tel. 04422 5550112", "Version 3, 20270 Zeichen", "Ps 12, 1 Mose 4", "Room 12 is free.",
]  # fmt: skip
PHONES = [
    ("Phone: 01632 960174", "01632 960174"),
    ("Call 01632 960 174 after six.", "01632 960 174"),
    ("Tel. (01632) 960174", "(01632) 960174"),
    ("+44 1632 960174", "+44 1632 960174"),
    ("+44 (0)1632 960174", "+44 (0)1632 960174"),
    ("T 020 7946 0018", "020 7946 0018"),
    ("Mobile 07700 900123", "07700 900123"),
    ("0808 157 0192 is free of charge.", "0808 157 0192"),
    ("Ring us on 0161 496 0345.", "0161 496 0345"),
    ("Phone 0044 1632 960174", "0044 1632 960174"),
    ("Call (406) 555-0142.", "(406) 555-0142"),
    ("Phone: 406-555-0142", "406-555-0142"),
    ("+1 406 555 0142", "+1 406 555 0142"),
    ("Tel: 406.555.0142", "406.555.0142"),
    ("Telefon 030 23125 042", "030 23125 042"),
    ("Tel.: 030/23125-042", "030/23125-042"),
    ("Fon +49 30 23125 042", "+49 30 23125 042"),
    ("Sie erreichen uns unter 0171 39 200 42.", "0171 39 200 42"),
    ("Rufen Sie an: (0221) 4710 042", "(0221) 4710 042"),
    ("0049 221 4710 042", "0049 221 4710 042"),
    ("Tél. 01 99 00 12 34", "01 99 00 12 34"),
    ("Téléphone : +33 1 99 00 12 34", "+33 1 99 00 12 34"),
    ("Tel. 044 555 01 42", "044 555 01 42"),
    ("Tel. +43 1 555 01 42", "+43 1 555 01 42"),
    ("Telefon: 08-465 004 12", "08-465 004 12"),
    ("Mobil: 0172–9925904", "0172–9925904"),
]
NO_PHONES = [
    "Fax: 01632 960199", "Telefax 030 23125 099", "ISBN 978-3-16-148410-0", "IBAN DE02 1203 0000 0000 2020 51", "VAT GB 123 4567 89",
    "CMYK 70 67 64 74", "RAL 5010", "12.05.2027 10.30", "0.125 0.250 0.500", "Order 2027-00123-4", "01.02.2027 – 03.04.2027", "#012 345",
    "USt-IdNr. DE 123 456 789", "0 10 20 30 40 50 60", "HRB 01234 5678", "1 2 3 4 5 6 7 8 9",
]  # fmt: skip


@pytest.mark.parametrize(("said", "address"), ADDRESSES)
def test_addresses_are_told(said: str, address: str) -> None:
    assert [one.value for one in addresses_told(f"Before it.\n\n{said}\n\nAfter it.")] == [address]


@pytest.mark.parametrize("said", NO_ADDRESSES)
def test_what_is_no_address(said: str) -> None:
    assert addresses_told(said) == []


@pytest.mark.parametrize(("said", "number"), PHONES)
def test_telephone_numbers_are_told(said: str, number: str) -> None:
    assert [one.value for one in phones_told(f"Before it.\n{said}\nAfter it.")] == [number]


@pytest.mark.parametrize("said", NO_PHONES)
def test_what_is_no_telephone_number(said: str) -> None:
    assert phones_told(said) == []
