"""The contents of the three folders of `folders.py`: an inn at a ferry, a letterpress workshop, a practice for voices; and what the
demo's folder holds. All made up."""

from pathlib import Path

from folders import Folder, odt, pdf, word

_INN_PAGE = """<!doctype html><html lang="de"><head><title>Zum Anleger – Fährhaus Rohrsand</title>
<meta name="description" content="Gasthaus und Bootsverleih am Rohrsander Anleger."></head><body>
<header><nav><ul><li><a href="/">Start</a></li><li><a href="/zimmer">Zimmer</a></li></ul></nav></header>
<div class="cookie-note"><p>Wir verwenden Cookies. Nie Rot auf Blau, sagt die Bank. Geöffnet montags 1–2 Uhr.</p></div>
<main><article><header><h1>Am Wasser zu Hause</h1></header><p>Seit 1911 legt die Fähre vor unserer Tür an.</p></article>
<section><h2>Öffnungszeiten</h2><table><tr><td>Dienstag bis Freitag</td><td>11–22 Uhr</td></tr><tr><td>Samstag</td><td>10–23 Uhr</td></tr>
<tr><td>Sonntag</td><td>10–18 Uhr</td></tr></table></section>
<section><h2>Was Gäste sagen</h2><blockquote><p>Nirgends schläft man so nah am Wasser und so tief.</p><footer>Hedda Brons, Kapitänin</footer></blockquote>
<figure><blockquote>Die Fischsuppe ist jede Überfahrt wert.</blockquote><figcaption>— Tjark Ohm, Stammgast</figcaption></figure></section>
<section><h2>Menschen im Haus</h2><ul><li>Wiebke Sand, Wirtin</li><li>Onno Reet, Koch</li><li>Fenna Diek, Bootsverleih</li></ul></section>
<section><h2>Unser Haus in Jahren</h2><ul><li>1911 – Der Anleger wird gebaut</li><li>1954 – Das Fährhaus bekommt acht Zimmer</li><li>2008 – Wiebke Sand übernimmt</li></ul></section>
</main><footer><p>Folgen Sie uns</p><ul><li><a href="https://fotos.example/@rohrsand">Fotos</a></li><li><a href="https://wasser.example/rohrsand">Wasserfunk</a></li></ul>
<address>Anleger 3, 26999 Rohrsand</address><p><a href="tel:+4944225550112">04422 555 0112</a> <a href="mailto:moin@rohrsand.example">moin@rohrsand.example</a></p></footer></body></html>"""

_INN_GUIDE = pdf([
    (60, 70, 24, "Fährhaus Rohrsand: So sehen wir aus"),
    (60, 110, 16, "Farben"),
    (60, 135, 11, "Reet"), (160, 135, 11, "#8A6F3C"), (260, 135, 11, "CMYK 35 45 85 20"),
    (60, 153, 11, "Tiefes Watt"), (160, 153, 11, "#24343B"), (260, 153, 11, "CMYK 80 60 55 55"),
    (60, 171, 11, "Segeltuch"), (160, 171, 11, "#F3ECDD"), (260, 171, 11, "CMYK 4 6 14 0"),
    (60, 189, 11, "Boje"), (160, 189, 11, "#D9482B"), (260, 189, 11, "CMYK 8 85 95 0"),
    (60, 225, 11, "Mehr als die Hälfte jeder Fläche bleibt hell: 60 Prozent Segeltuch,"),
    (60, 240, 11, "30 Prozent Tiefes Watt, 10 Prozent Boje."),
    (60, 270, 11, "Boje steht niemals auf Reet. Auch Reet auf Segeltuch ist nicht lesbar."),
    (60, 300, 11, "Am besten lesen sich Tiefes Watt auf Segeltuch und umgekehrt. Text steht in Tiefes Watt auf Segeltuch."),
    (60, 340, 16, "Zeichen"),
    (60, 365, 11, "Das Zeichen ist nie kleiner als 9 mm, das ganze Logo mindestens 28 mm breit."),
    (60, 395, 11, "Rund um das Logo bleibt ein Freiraum von einem Viertel seiner Höhe."),
    (60, 430, 16, "Schrift"),
    (60, 455, 11, "Überschriften setzen wir in Deichgraf Antiqua, Texte in Priel Sans."),
    (60, 490, 16, "Flächen und Knöpfe"),
    (60, 515, 11, "Alle Ecken sind mit 3 px gerundet. Knöpfe sind gefüllt."),
    (60, 550, 16, "Ton"),
    (60, 575, 11, "Wir klingen herzlich und klar, nie laut."),
    (60, 600, 11, "Wir sagen „Gast“, nicht „Kunde“. Das Wort „Wellness“ verwenden wir nicht."),
])  # fmt: skip

_INN_PRICES = odt([
    "# Zimmer und Preise", [["Zimmer", "Preis je Nacht"], ["Kammer zum Hafen", "78 €"], ["Stube mit Wasserblick", "112 €"], ["Das ganze Obergeschoss", "340 €"]],
    "# Boote", "Ruderboot, eine Stunde: 9 €", "Jolle, ein halber Tag: 38 €",
    "# Termine", "14. Juni 2027: Rohrsander Bootstag", "20. September 2027: Erntefest am Anleger",
    "# Räucherkurs", "Vier Stunden am Ofen, mit Fisch zum Mitnehmen.",
])  # fmt: skip

_INN_LETTER = """# Ein paar Zeilen zum Haus

Das Fährhaus ist ein Gasthaus mit acht Zimmern am Anleger. Für unsere Gäste gibt es ein Frühstück mit Brot aus dem Ort; ein Frühstück
kostet 11 €, Kinder zahlen 5 €. Eine Kutterfahrt mit Onno kostet 24 € je Person.

Im Winter ist am Wochenende von 11 bis 15 Uhr geöffnet.

Tjark Ohm, Fährmann, sagt: „Wer hier sitzt, verpasst gern die letzte Fähre.“ Und Insa Kolk (Lehrerin) schreibt uns jedes Jahr.
„Wir kommen seit zwanzig Jahren und bleiben jedes Mal länger“, schreibt Insa Kolk.

Am 2. Mai 2027 eröffnen wir die Terrasse. Der Lichterabend ist am 5. Dezember 2027.

Aleke Priel kümmert sich um den Garten, und Harm Deich leitet den Bootsverleih im Sommer.

Zum Haus gehören 14 Ruderboote und 3 Jollen. Im Saal finden 80 Gäste Platz. Bei uns bekommen Sie Angelkarten, Räucherfisch und
Bootsplanen. Von November bis Februar bleibt das Haus dienstags geschlossen.

1911 wurde der Anleger gebaut. Die Küche brannte 1978 ab. Seit 2008 führt Wiebke Sand das Haus.

# Bilder

Fotos zeigen immer das Wasser. Das Logo darf nicht gedreht werden. Schatten sind nicht erlaubt.
"""

INN = Folder(
    "Fährhaus Rohrsand", "de",
    {"alte-seite/index.html": _INN_PAGE.encode(), "Gestaltung.pdf": _INN_GUIDE, "Preise 2027.odt": _INN_PRICES, "Brief.md": _INN_LETTER.encode()},
    [
        ("color", ("Reet", "#8a6f3c")), ("color", ("Tiefes Watt", "#24343b")), ("color", ("Segeltuch", "#f3ecdd")), ("color", ("Boje", "#d9482b")),
        ("proportions", {"Segeltuch": 60, "Tiefes Watt": 30, "Boje": 10}),
        ("forbidden pair", {"ink": "Boje", "ground": "Reet"}), ("forbidden pair", {"ink": "Reet", "ground": "Segeltuch"}),
        ("wanted pair", {"ink": "Tiefes Watt", "ground": "Segeltuch"}),
        ("least size", {"px": 34.02, "mark": "symbol"}), ("least size", {"px": 105.83, "mark": "full"}), ("clear space", {"share": 0.25}),
        ("typeface", ("Deichgraf Antiqua", "headings")), ("typeface", ("Priel Sans", "running text")),
        ("radius", 3.0), ("buttons and links", {"button": "filled"}),
        ("tone", "herzlich"), ("tone", "klar"), ("words to use", "Gast"), ("words to avoid", "Kunde"), ("words to avoid", "Wellness"),
        ("hours", ("Dienstag bis Freitag", "11–22")), ("hours", ("Samstag", "10–23")), ("hours", ("Sonntag", "10–18")),
        ("quote", ("Nirgends schläft man", "Hedda Brons", "Kapitänin")), ("quote", ("Die Fischsuppe", "Tjark Ohm", "Stammgast")),
        ("person", ("Wiebke Sand", "Wirtin")), ("person", ("Onno Reet", "Koch")), ("person", ("Fenna Diek", "Bootsverleih")),
        ("year", ("1911", "Der Anleger")), ("year", ("1954", "Das Fährhaus")), ("year", ("2008", "Wiebke Sand")),
        ("network", "https://fotos.example/@rohrsand"), ("network", "https://wasser.example/rohrsand"),
        ("word", ("address", "Anleger 3, 26999 Rohrsand")), ("word", ("phone", "04422 555 0112")), ("word", ("email", "moin@rohrsand.example")),
        ("price", ("Kammer zum Hafen", "78 €")), ("price", ("Stube mit Wasserblick", "112 €")), ("price", ("Das ganze Obergeschoss", "340 €")),
        ("price", ("Ruderboot", "9 €")), ("price", ("Jolle", "38 €")),
        ("date", ("14. Juni 2027", "Bootstag")), ("date", ("20. September 2027", "Erntefest")),
        ("offer", "Räucherkurs"),
        ("price", ("Frühstück", "11 €")), ("price", ("Kinder", "5 €")), ("price", ("Kutterfahrt", "24 €")),
        ("quote", ("Wer hier sitzt", "Tjark Ohm", "Fährmann")), ("quote", ("Wir kommen seit zwanzig", "Insa Kolk")),
        ("date", ("2. Mai 2027", "Terrasse")), ("date", ("5. Dezember 2027", "Lichterabend")),
        ("person", ("Aleke Priel", "Garten")), ("person", ("Harm Deich", "Bootsverleih")),
        ("figure", "14 Ruderboote"), ("figure", "3 Jollen"), ("figure", "80 Gäste"), ("season", "Im Winter am Wochenende von 11 bis 15 Uhr"),
        ("season", "Von November bis Februar dienstags geschlossen"), ("offer", "Angelkarten"), ("offer", "Räucherfisch"), ("offer", "Bootsplanen"),
        ("year", ("1911", "wurde der Anleger gebaut")), ("year", ("1978", "Die Küche brannte ab")), ("year", ("2008", "Seit 2008 führt Wiebke Sand das Haus")),
        ("as said", "Fotos zeigen immer das Wasser."), ("as said", "Das Logo darf nicht gedreht werden."), ("as said", "Schatten sind nicht erlaubt."),
    ],
)  # fmt: skip

_PRESS_GUIDE = """# Ashlock Letterpress: house style

## Colour

| Name | Hex | Print | Share |
| --- | --- | --- | --- |
| Soot | #1F1B1A | CMYK 70 67 64 74 | 25 % |
| Laid Paper | #F6F0E4 | CMYK 3 4 11 0 | 65 % |
| Madder | #A8322D | CMYK 24 92 88 17 | 10 % |

Two thirds of a sheet stay Laid Paper. Never print Madder on Soot, however large the letters.
Soot on Laid Paper is our standard, and Laid Paper on Madder is allowed for notices.

## Marks

The device must not be used under 7 mm, the full mark is at least 25 mm wide.
Keep an exclusion zone as wide as the letter k around it.

## Type

- Headlines: Ashlock Clarendon
- Text: Furrow Grotesque

## On screens

Corners are square. Buttons are outlined, never filled. Links are always underlined.

## Voice

We write plainly and exactly, without jokes.

| We say | We don't say |
| --- | --- |
| broadside | flyer |
| proof | sample |
| compositor | designer |

Banned words: bespoke, curated
"""

_PRESS_TEXTS = word([
    "# Workshops", "Learn to set a line, ink a forme and pull a proof.",
    [["Workshop", "Length", "Price"], ["First forme", "one day", "£95"], ["Wood type weekend", "two days", "£180"], ["Open press evening", "three hours", "£25"]],
    "# Opening hours", "Wednesday to Friday: 10am–5pm", "Saturday: 9am–1pm", "By appointment on all other days",
    "# What printers say", "“The only place where I was allowed to be slow.” — Maud Arkle, bookbinder", "“Our menus have never looked so calm.” — Peter Lowden, innkeeper",
    "# The workshop", "- Ines Carver, printer", "- Tom Ashlock, founder", "- Rhona Bell, apprentice",
    "# How a commission goes", "1. You bring words.", "2. We set and proof them.", "3. We print, dry and trim.",
    "# Questions", "Can I bring my own paper?", "Yes, if it is uncoated and above 160 g.", "Do you post?", "Within the country, flat.",
])  # fmt: skip

_PRESS_SITE = """<!doctype html><html lang="en"><head><title>Ashlock Letterpress</title></head><body><nav><a href="/">Home</a></nav>
<main><h1>Ink, pressure, patience</h1><div>Ashlock is a two-press workshop above the old granary.</div>
<h2>Coming up</h2><dl><dt>5 June 2027</dt><dd>Wayzgoose in the yard</dd><dt>18 September 2027</dt><dd>Type sale</dd></dl>
<h2>In numbers</h2><ul><li>240 founts of type</li><li>31 apprentices</li></ul></main>
<footer><h3>Elsewhere</h3><a href="https://prints.example/@ashlock">Prints</a><p>The Granary, Mill Row, Tarnbeck TB4 2AL</p><p>Call us: 015396 55018</p></footer></body></html>"""

_PRESS_NOTE = """Dear Jo

please find all of it in the folder. The strapline is
Strapline: Set by hand
and our address for letters is
Email: press@ashlock.example

Commissions

We print broadsides, cards and small books.
"""

_PRESS_STORY = odt([
    "# About the press", "Tom Ashlock founded the press in 1979 in a stable. Today Ines Carver is our printer, and Rhona Bell looks after the bindery.",
    "A visit is free, but a private tour costs £12 and school groups pay £3 each. Business cards start at £90.",
    "Visit us Monday to Friday, 9.30–12.00.",
    "As Wilma Thorn puts it: “You can feel every letter with your thumb.” Peter Lowden, innkeeper, says: “They sent the first proof back themselves.”",
    "We print broadsides, wedding cards and small editions to order. The type store holds 260 founts, and 33 apprentices have gone through the shop.",
    "In 1979 Tom Ashlock bought a proofing press. The granary was restored in 1996. Since 2014 we have taught evening classes. The workshop is closed in August.",
    "The autumn fair takes place on 9 October 2027. Join us for the open press night on 3 December 2027.",
    "# Pictures", "Never crop hands in photographs. Gradients are forbidden. The device is drawn in one colour.",
])  # fmt: skip

PRESS = Folder(
    "Ashlock Letterpress", "en",
    {"house-style.md": _PRESS_GUIDE.encode(), "Website texts.docx": _PRESS_TEXTS, "site/index.html": _PRESS_SITE.encode(), "letter.txt": _PRESS_NOTE.encode(), "Story.odt": _PRESS_STORY},
    [
        ("color", ("Soot", "#1f1b1a")), ("color", ("Laid Paper", "#f6f0e4")), ("color", ("Madder", "#a8322d")),
        ("proportions", {"Soot": 25, "Laid Paper": 65, "Madder": 10}),
        ("forbidden pair", {"ink": "Madder", "ground": "Soot"}), ("wanted pair", {"ink": "Soot", "ground": "Laid Paper"}),
        ("wanted pair", {"ink": "Laid Paper", "ground": "Madder"}),
        ("least size", {"px": 26.46, "mark": "symbol"}), ("least size", {"px": 94.49, "mark": "full"}), ("clear space", {"share": 0.25}),
        ("typeface", ("Ashlock Clarendon", "headings")), ("typeface", ("Furrow Grotesque", "running text")),
        ("radius", 0.0), ("buttons and links", {"button": "outlined"}), ("buttons and links", {"links": "underlined"}),
        ("tone", "plain"), ("tone", "exact"),
        ("words to use", "broadside"), ("words to use", "proof"), ("words to use", "compositor"),
        ("words to avoid", "flyer"), ("words to avoid", "sample"), ("words to avoid", "designer"), ("words to avoid", "bespoke"), ("words to avoid", "curated"),
        ("price", ("First forme", "£95")), ("price", ("Wood type weekend", "£180")), ("price", ("Open press evening", "£25")),
        ("hours", ("Wednesday to Friday", "10am–5pm")), ("hours", ("Saturday", "9am–1pm")),
        ("quote", ("The only place", "Maud Arkle", "bookbinder")), ("quote", ("Our menus", "Peter Lowden", "innkeeper")),
        ("person", ("Ines Carver", "printer")), ("person", ("Tom Ashlock", "founder")), ("person", ("Rhona Bell", "apprentice")),
        ("step", "You bring words"), ("step", "We set and proof them"), ("step", "We print, dry and trim"),
        ("date", ("5 June 2027", "Wayzgoose")), ("date", ("18 September 2027", "Type sale")),
        ("network", "https://prints.example/@ashlock"), ("word", ("phone", "015396 55018")), ("word", ("email", "press@ashlock.example")),
        ("word", ("strapline", "Set by hand")), ("offer", "Commissions"), ("offer", "Workshops"),
        ("person", ("Tom Ashlock", "founder")), ("person", ("Ines Carver", "printer")), ("person", ("Rhona Bell", "bindery")),
        ("price", ("Private tour", "£12")), ("price", ("School groups", "£3")), ("price", ("Business cards", "£90")),
        ("hours", ("Monday to Friday", "9.30–12.00")),
        ("quote", ("You can feel", "Wilma Thorn")), ("quote", ("They sent the first proof", "Peter Lowden", "innkeeper")),
        ("date", ("9 October 2027", "Autumn fair")), ("date", ("3 December 2027", "Open press night")),
        ("figure", "240 founts of type"), ("figure", "31 apprentices"), ("figure", "260 founts"), ("figure", "33 apprentices"),
        ("season", "closed in August"), ("offer", "Broadsides"), ("offer", "Wedding cards"), ("offer", "Small editions"), ("offer", "Cards"), ("offer", "Small books"),
        ("year", ("1979", "Tom Ashlock bought a proofing press")), ("year", ("1996", "The granary was restored")), ("year", ("2014", "Since 2014 we have taught evening classes")),
        ("word", ("address", "The Granary, Mill Row, Tarnbeck TB4 2AL")),
        ("as said", "Never crop hands in photographs."), ("as said", "Gradients are forbidden."),
    ],
)  # fmt: skip

_VOICE_GUIDE = word([
    "# Stimmraum Ahlbeck: Handbuch", "Für alle, die etwas für uns gestalten.",
    "# Farben", [["Farbe", "Wert", "Anteil"], ["Atem", "#DCE8E4", "70 %"], ["Kehle", "#7A2E3A", "20 %"], ["Nachtblau", "#1C2440", "10 %"]],
    "Setzen Sie Kehle bitte nie auf Nachtblau.", "Bevorzugt wird Nachtblau auf Atem.",
    "# Logo", "Mindestbreite des Logos: 22 mm. Der Schutzraum beträgt 6 mm.",
    "# Schriften", "Für Überschriften verwenden wir Lerche Display, Fließtext steht in Kanon Sans.",
    "# Form", "Ecken haben einen Radius von 12 px. Schaltflächen sind ganz rund. Links sind nicht unterstrichen.",
    "# Sprache", "Unser Ton ist ruhig, einladend und ehrlich.", "Wörter, die wir meiden:", "- Optimierung", "- Performance", "- Klienten",
    "Unsere Wörter:", "- Stimme", "- Atem", "- Raum",
])  # fmt: skip

_VOICE_LEAFLET = pdf([
    (60, 70, 22, "Stimmraum Ahlbeck"),
    (60, 110, 15, "Angebote"),
    (60, 135, 11, "Einzelstunde, 50 Minuten"), (330, 135, 11, "65 €"),
    (60, 152, 11, "Chorcoaching, ein Abend"), (330, 152, 11, "240 €"),
    (60, 169, 11, "Sprechtraining, fünf Stunden"), (330, 169, 11, "290 €"),
    (60, 215, 15, "Sprechzeiten"),
    (60, 240, 11, "Montag"), (200, 240, 11, "9–13 Uhr"),
    (60, 257, 11, "Mittwoch"), (200, 257, 11, "14–19 Uhr"),
    (60, 274, 11, "Freitag"), (200, 274, 11, "9–12 Uhr"),
    (60, 320, 15, "Stimmen"),
    (60, 345, 11, "„Ich rede seither vor dreihundert Leuten, ohne zu räuspern.“ – Jule Maar, Richterin"),
    (60, 375, 11, "„Unser Chor atmet jetzt zusammen.“ – Horst Wiek, Kantor"),
    (60, 420, 15, "Team"),
    (60, 445, 11, "Carla Usedom, Stimmtherapeutin"),
    (60, 462, 11, "Benno Peene, Chorleiter"),
])  # fmt: skip

_VOICE_EN = """# English page

## Who we are

We help voices: singers, teachers, readers.

## Evenings

12 May 2027: Open singing
9 June 2027: Reading aloud

## How to find us

By train: Ahlbeck station, then five minutes on foot.
By bike: along the dyke path, racks at the door.

## Contact

Phone: +49 38378 555 019
Email: hallo@stimmraum.example
Address: Dünenweg 8, 17419 Ahlbeck
Mastodon: @stimmraum@toene.example
"""

_VOICE_SITE = """<!doctype html><html lang="de"><head><title>Stimmraum Ahlbeck</title></head><body>
<div id="cookie-consent"><p>Diese Seite verwendet Cookies. Unser Ton ist laut.</p></div>
<main><section><h1>Stimmen brauchen Raum</h1><p>Wir arbeiten mit Menschen, die sprechen und singen.</p></section>
<section><h2>Für wen</h2><p>Unsere Logopädin ist Merle Haff. Carla Usedom leitet die Praxis seit 2011.</p>
<p>Ein Probetermin kostet 20 €, ein Kurs mit acht Abenden kostet 160 €.</p>
<p>„Nach drei Stunden war die Heiserkeit weg“, erzählt Silke Boden, Erzieherin.</p>
<p>Der Tag der Stimme findet am 16. April 2027 statt. Am 3. Oktober 2027 singen wir am Strand.</p>
<p>Wir bieten Einzelstunden, Chorabende und Lesungen an. Zu uns kommen 180 Menschen im Monat, und der Chor hat 46 Stimmen.</p>
<p>Die Praxis wurde 2004 gegründet. 2011 zogen wir an den Dünenweg. Im Jahr 2019 kam der Chorraum dazu. In den Sommerferien ist die Praxis geschlossen.</p>
<p>Sie erreichen uns werktags zwischen 8 und 12 Uhr.</p></section></main>
<footer><p>Folgen Sie uns auch anderswo</p><a href="https://bilder.example/stimmraum">Bilder</a></footer></body></html>"""

VOICE = Folder(
    "Stimmraum Ahlbeck", "de",
    {"Handbuch.docx": _VOICE_GUIDE, "Faltblatt.pdf": _VOICE_LEAFLET, "texts-en.md": _VOICE_EN.encode(), "webseite/index.html": _VOICE_SITE.encode()},
    [
        ("color", ("Atem", "#dce8e4")), ("color", ("Kehle", "#7a2e3a")), ("color", ("Nachtblau", "#1c2440")),
        ("proportions", {"Atem": 70, "Kehle": 20, "Nachtblau": 10}), ("forbidden pair", {"ink": "Kehle", "ground": "Nachtblau"}),
        ("wanted pair", {"ink": "Nachtblau", "ground": "Atem"}), ("least size", {"px": 83.15, "mark": "full"}), ("clear space", {"px": 22.68}),
        ("typeface", ("Lerche Display", "headings")), ("typeface", ("Kanon Sans", "running text")),
        ("radius", 12.0), ("buttons and links", {"button radius": 40}), ("buttons and links", {"links": "plain"}),
        ("tone", "ruhig"), ("tone", "einladend"), ("tone", "ehrlich"),
        ("words to avoid", "Optimierung"), ("words to avoid", "Performance"), ("words to avoid", "Klienten"),
        ("words to use", "Stimme"), ("words to use", "Atem"), ("words to use", "Raum"),
        ("price", ("Einzelstunde", "65 €")), ("price", ("Chorcoaching", "240 €")), ("price", ("Sprechtraining", "290 €")),
        ("hours", ("Montag", "9–13")), ("hours", ("Mittwoch", "14–19")), ("hours", ("Freitag", "9–12")),
        ("quote", ("Ich rede seither", "Jule Maar", "Richterin")), ("quote", ("Unser Chor", "Horst Wiek", "Kantor")),
        ("person", ("Carla Usedom", "Stimmtherapeutin")), ("person", ("Benno Peene", "Chorleiter")),
        ("date", ("12 May 2027", "Open singing")), ("date", ("9 June 2027", "Reading aloud")),
        ("word", ("phone", "+49 38378 555 019")), ("word", ("email", "hallo@stimmraum.example")), ("word", ("address", "Dünenweg 8, 17419 Ahlbeck")),
        ("network", "https://toene.example/@stimmraum"), ("offer", "Who we are"),
        ("person", ("Merle Haff", "Logopädin")), ("person", ("Carla Usedom", "leitet die Praxis")),
        ("price", ("Probetermin", "20 €")), ("price", ("Kurs mit acht Abenden", "160 €")),
        ("quote", ("Nach drei Stunden", "Silke Boden", "Erzieherin")),
        ("date", ("16. April 2027", "Tag der Stimme")), ("date", ("3. Oktober 2027", "singen")),
        ("offer", "Einzelstunden"), ("offer", "Chorabende"), ("offer", "Lesungen"), ("figure", "180 Menschen im Monat"), ("figure", "46 Stimmen"),
        ("year", ("2004", "Die Praxis wurde gegründet")), ("year", ("2011", "zogen wir an den Dünenweg")), ("year", ("2019", "kam der Chorraum dazu")),
        ("season", "In den Sommerferien geschlossen"),
        ("hours", ("werktags", "8 und 12 Uhr")), ("network", "https://bilder.example/stimmraum"),
    ],
)  # fmt: skip

_QUILLMOOR = Path(__file__).parent.parent / "demo" / "quillmoor"

DEMO = Folder(
    "Quillmoor Observatory", "en",
    {str(one.relative_to(_QUILLMOOR)): one.read_bytes() for one in sorted(_QUILLMOOR.rglob("*")) if one.is_file()},
    [
        ("color", ("Night", "#1b2147")), ("color", ("Lamp", "#f2a93b")), ("color", ("Heather", "#8e5a9b")), ("color", ("Chalk", "#f6f1e7")),
        ("proportions", {"Chalk": 60, "Night": 25, "Heather": 10, "Lamp": 5}),
        ("forbidden pair", {"ink": "Lamp", "ground": "Chalk"}), ("forbidden pair", {"ink": "Heather", "ground": "Night"}),
        ("least size", {"px": 90.71, "mark": "full"}), ("least size", {"px": 22.68, "mark": "symbol"}), ("clear space", {"share": 0.5}),
        ("typeface", ("Young Serif", "headings")), ("typeface", ("Figtree", "running text")), ("radius", 6.0),
        *[("words to use", one) for one in ("sky", "dark", "evening", "look", "together")],
        *[("words to avoid", one) for one in ("experience", "unique", "stunning", "journey")],
        ("word", ("strapline", "The dark is worth the drive.")), ("word", ("email", "hello@quillmoor.example")),
        ("word", ("phone", "01632 960174")), ("word", ("address", "Upper Quill Lane, Quillmoor")), ("hours", ("Thursday to Sunday", "dusk to midnight")),
        ("hours", ("Thursday to Saturday", "dusk")), ("hours", ("Sunday", "22:00")),
        ("year", ("1923", "The surveyor")), ("year", ("1931", "The dome")), ("year", ("1968", "The moor")), ("year", ("2009", "The planetarium")),
        ("price", ("Single member", "£38")), ("price", ("Household", "£60")), ("price", ("Under eighteen", "£12")),
        ("price", ("Evening at the telescope", "£9")), ("price", ("Planetarium show", "£6")), ("price", ("Children under twelve", "£4")),
        ("quote", ("I had the dome", "Nell Ashdown", "member")), ("quote", ("My daughter", "Piet Marlow", "household")),
        ("date", ("4 February", "The winter hexagon")), ("date", ("13 February", "Saturn")), ("date", ("5 March", "Orion")),
        ("date", ("14 March", "patient")), ("date", ("3 April", "Galaxies")),
        ("step", "Arriving"), ("step", "Measuring"), ("step", "Drawing"), ("step", "Comparing"),
    ],
)  # fmt: skip

FOLDERS = (INN, PRESS, VOICE)
