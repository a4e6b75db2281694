"""Hours, prices, quotes, people and dates that are told in prose. The phrasings were collected before the grammars; what must not match
comes after each."""

import pytest

from formulon.core.identity.statements.told import dates_told, hours_told, people_told, prices_told, quotes_told

HOURS = [
    ("We are open Tuesday to Friday from 9 to 5.", "Tuesday to Friday from 9 to 5"),
    ("We are open daily from 10am to 6pm.", "daily from 10am to 6pm"),
    ("The shop is open Monday to Saturday, 9am–5pm.", "Monday to Saturday, 9am–5pm"),
    ("Our doors are open on Saturdays from 10 to 4.", "on Saturdays from 10 to 4"),
    ("Open Wednesday to Sunday, 11:00–18:00; closed on Mondays.", "Wednesday to Sunday, 11:00–18:00; closed on Mondays"),
    ("You will find us here every day between 8am and noon.", "every day between 8am and noon"),
    ("The studio opens Thursdays and Fridays from 2pm to 7pm.", "Thursdays and Fridays from 2pm to 7pm"),
    ("From May to September we are open daily, 10:00–20:00.", "From May to September daily, 10:00–20:00"),
    ("Visit us Monday to Friday, 8.30–12.00.", "Monday to Friday, 8.30–12.00"),
    ("We’re open weekdays 9–17.", "weekdays 9–17"),
    ("In winter the gate is open at weekends from 11am to 3pm.", "In winter at weekends from 11am to 3pm"),
    ("Opening times are Tue–Sat, 10–18.", "Tue–Sat, 10–18"),
    (
        "Our opening hours are Monday to Thursday 9am to 4pm and Friday 9am to 1pm.",
        "Monday to Thursday 9am to 4pm and Friday 9am to 1pm",
    ),
    ("Wir haben Dienstag bis Freitag von 9 bis 17 Uhr geöffnet.", "Dienstag bis Freitag von 9 bis 17 Uhr"),
    ("Geöffnet ist täglich von 10 bis 18 Uhr.", "täglich von 10 bis 18 Uhr"),
    ("Der Laden ist montags bis samstags von 9 bis 18 Uhr offen.", "montags bis samstags von 9 bis 18 Uhr"),
    ("Wir sind samstags von 10 bis 14 Uhr da.", "samstags von 10 bis 14 Uhr"),
    ("Offen: Mittwoch bis Sonntag, 11–18 Uhr, montags geschlossen.", "Mittwoch bis Sonntag, 11–18 Uhr, montags geschlossen"),
    ("Sie erreichen uns werktags zwischen 8 und 12 Uhr.", "werktags zwischen 8 und 12 Uhr"),
    ("Von Mai bis September haben wir täglich 10–20 Uhr geöffnet.", "Von Mai bis September täglich 10–20 Uhr"),
    ("Im Winter ist am Wochenende von 11 bis 15 Uhr geöffnet.", "Im Winter am Wochenende von 11 bis 15 Uhr"),
    ("Unsere Öffnungszeiten sind Di–Sa 10–18 Uhr.", "Di–Sa 10–18 Uhr"),
    ("Besuchen Sie uns Montag bis Freitag, 8:30–12:00 Uhr.", "Montag bis Freitag, 8:30–12:00 Uhr"),
    ("Die Werkstatt öffnet donnerstags um 14 Uhr und schließt um 19 Uhr.", "donnerstags um 14 Uhr und schließt um 19 Uhr"),
    ("Bei uns ist Freitag und Samstag ab 18 Uhr offen.", "Freitag und Samstag ab 18 Uhr"),
]
SEASONS = [
    ("April to October: daily 10am–6pm", "April to October: daily 10am–6pm"),
    ("From May to September we are open every day from 10 to 6.", "From May to September every day from 10 to 6"),
    ("Closed in January.", "Closed in January"),
    ("We are closed on Mondays.", "closed on Mondays"),
    ("In winter we are open at weekends from 11am to 3pm.", "In winter at weekends from 11am to 3pm"),
    (
        "Open daily in summer, 9–19, and on Saturdays only in winter, 10–16.",
        "daily in summer, 9–19, and on Saturdays only in winter, 10–16",
    ),
    ("The shop is closed from 24 December to 6 January.", "closed from 24 December to 6 January"),
    ("Open by appointment only.", "by appointment only"),
    ("Viewings by appointment.", "Viewings by appointment"),
    ("From November to March: Saturday and Sunday 11–16", "From November to March: Saturday and Sunday 11–16"),
    ("During the school holidays we open daily from 10 to 17.", "During the school holidays daily from 10 to 17"),
    ("Open all year, Tuesday to Sunday, 10:00–18:00.", "all year, Tuesday to Sunday, 10:00–18:00"),
    (
        "Easter to end of September: Wednesday to Sunday 10.30am–5pm",
        "Easter to end of September: Wednesday to Sunday 10.30am–5pm",
    ),
    ("We are open on bank holidays from 10 to 4.", "on bank holidays from 10 to 4"),
    ("Outside the season we open by appointment.", "Outside the season by appointment"),
    ("November bis März: nur Sa und So 11–16 Uhr", "November bis März: nur Sa und So 11–16 Uhr"),
    ("Von April bis Oktober täglich 10–18 Uhr geöffnet.", "Von April bis Oktober täglich 10–18 Uhr"),
    ("Montag Ruhetag", "Montag Ruhetag"),
    ("Montags ist Ruhetag.", "Montags Ruhetag"),
    ("Geöffnet nach Vereinbarung.", "nach Vereinbarung"),
    ("Termine nach Vereinbarung.", "Termine nach Vereinbarung"),
    ("Vom 24. Dezember bis 6. Januar bleibt das Haus geschlossen.", "Vom 24. Dezember bis 6. Januar geschlossen"),
    (
        "Im Sommer täglich von 9 bis 20 Uhr, im Winter nur freitags bis sonntags von 11 bis 17 Uhr.",
        "Im Sommer täglich von 9 bis 20 Uhr, im Winter nur freitags bis sonntags von 11 bis 17 Uhr",
    ),
    ("An Feiertagen geöffnet von 10 bis 16 Uhr.", "An Feiertagen von 10 bis 16 Uhr"),
    ("Ganzjährig geöffnet: Dienstag bis Sonntag, 10–18 Uhr.", "Ganzjährig: Dienstag bis Sonntag, 10–18 Uhr"),
    ("In den Schulferien haben wir täglich von 10 bis 17 Uhr geöffnet.", "In den Schulferien täglich von 10 bis 17 Uhr"),
    (
        "Ostern bis Ende September: Mittwoch bis Sonntag 10.30–17 Uhr",
        "Ostern bis Ende September: Mittwoch bis Sonntag 10.30–17 Uhr",
    ),
    ("Im Januar haben wir geschlossen.", "Im Januar geschlossen"),
    ("Die Werkstatt ist im August zu.", "im August zu"),
    ("From 1 May to 30 September we are open daily from 10 to 18.", "From 1 May to 30 September daily from 10 to 18"),
]
NO_HOURS = [
    "The talk is on Friday from 9 to 5.", "We open the box carefully.", "Open questions remain.", "We are open to ideas on Mondays.",
    "The road is open.", "Monday is a quiet day.", "On Saturday 5 June we celebrate.", "Offene Fragen klären wir montags.",
    "Am Freitag um 9 Uhr beginnt der Kurs.", "Wir sind offen für Neues.", "Die Tür öffnet nach innen.", "Das Fenster ist offen.",
    "The case is closed.", "Closed cell foam, 5 mm", "Saturday 5 June, 10–12", "Geschlossen", "In January we celebrate.", "Das Kapitel ist zu.",
    "March 4 to 6", "12 May to 3 June", "Die Tür ist zu, nach Vereinbarung öffnen wir sie gern.",
    "Der Lichterabend ist am 5. Dezember 2027.", "The type sale is on 18 September 2027.", "Die Ausstellung öffnet am 2. Mai 2027.",
    "The gallery opens on 2 May.", "Closed on 5 June 2027 for the fair.",
]  # fmt: skip
QUOTES = [
    ("“It changed how I work,” says Maud Arkle, bookbinder.", "It changed how I work", "Maud Arkle", "bookbinder"),
    ("“It changed how I work.” Maud Arkle, bookbinder", "It changed how I work", "Maud Arkle", "bookbinder"),
    ("Maud Arkle, bookbinder, says: “It changed how I work.”", "It changed how I work", "Maud Arkle", "bookbinder"),
    ("As Maud Arkle puts it: “It changed how I work.”", "It changed how I work", "Maud Arkle", ""),
    ('"It changed how I work", writes Maud Arkle (bookbinder).', "It changed how I work", "Maud Arkle", "bookbinder"),
    ("Maud Arkle told us, “It changed how I work.”", "It changed how I work", "Maud Arkle", ""),
    ("Bookbinder Maud Arkle says “It changed how I work.”", "It changed how I work", "Maud Arkle", "Bookbinder"),
    ("“It changed how I work” – Maud Arkle, bookbinder", "It changed how I work", "Maud Arkle", "bookbinder"),
    ("Maud Arkle (bookbinder): “It changed how I work.”", "It changed how I work", "Maud Arkle", "bookbinder"),
    ("Maud Arkle: “It changed how I work.”", "It changed how I work", "Maud Arkle", ""),
    ("“It changed how I work”, remembers Maud Arkle.", "It changed how I work", "Maud Arkle", ""),
    (
        "‘It changed how I work,’ said Maud Arkle, a bookbinder from Tarnbeck.",
        "It changed how I work",
        "Maud Arkle",
        "a bookbinder from Tarnbeck",
    ),
    ("In the words of Maud Arkle, bookbinder: “It changed how I work.”", "It changed how I work", "Maud Arkle", "bookbinder"),
    (
        "„Das hat meine Arbeit verändert“, sagt Jule Maar, Richterin.",
        "Das hat meine Arbeit verändert",
        "Jule Maar",
        "Richterin",
    ),
    ("„Das hat meine Arbeit verändert.“ Jule Maar, Richterin", "Das hat meine Arbeit verändert", "Jule Maar", "Richterin"),
    (
        "Jule Maar, Richterin, sagt: „Das hat meine Arbeit verändert.“",
        "Das hat meine Arbeit verändert",
        "Jule Maar",
        "Richterin",
    ),
    ("Wie Jule Maar sagt: „Das hat meine Arbeit verändert.“", "Das hat meine Arbeit verändert", "Jule Maar", ""),
    (
        "»Das hat meine Arbeit verändert«, schreibt Jule Maar (Richterin).",
        "Das hat meine Arbeit verändert",
        "Jule Maar",
        "Richterin",
    ),
    ("Jule Maar meint: „Das hat meine Arbeit verändert.“", "Das hat meine Arbeit verändert", "Jule Maar", ""),
    (
        "Die Richterin Jule Maar sagt: „Das hat meine Arbeit verändert.“",
        "Das hat meine Arbeit verändert",
        "Jule Maar",
        "Richterin",
    ),
    ("„Das hat meine Arbeit verändert“ – Jule Maar, Richterin", "Das hat meine Arbeit verändert", "Jule Maar", "Richterin"),
    ("Jule Maar (Richterin): „Das hat meine Arbeit verändert.“", "Das hat meine Arbeit verändert", "Jule Maar", "Richterin"),
    ("Jule Maar: „Das hat meine Arbeit verändert.“", "Das hat meine Arbeit verändert", "Jule Maar", ""),
    ("„Das hat meine Arbeit verändert“, erzählt Jule Maar.", "Das hat meine Arbeit verändert", "Jule Maar", ""),
    ("„Das hat meine Arbeit verändert“, so Jule Maar, Richterin.", "Das hat meine Arbeit verändert", "Jule Maar", "Richterin"),
]
NO_QUOTES = [
    "We say “mend”, not “repair”.", "The song “Over the river and far” is ours.", "The word “artisanal” is banned.",
    "Our house is called “The Long Quiet Room”.", "Say “basket”, never “hamper”.", "“A sentence without anybody who says it.”",
    "Wir sagen „flicken“, nicht „reparieren“.", "Das Lied „Über den Fluss und weiter“ ist von uns.", "Das Wort „Wellness“ verwenden wir nicht.",
    "Unser Haus heißt „Zum langen stillen Raum“.", "The sign reads “Mind the step, please”.", "Press “Send” and wait.",
]  # fmt: skip
PRICES = [
    ("A day ticket costs £12.", "Day ticket: £12"),
    ("A private lesson is £45 an hour.", "Private lesson: £45 an hour"),
    ("Family tickets cost £30.", "Family tickets: £30"),
    ("Children pay £4.", "Children: £4"),
    ("Tickets are £9, students pay £6.", "Tickets: £9 | Students: £6"),
    ("The weekend course comes to £180 per person.", "Weekend course: £180 per person"),
    ("You can rent a rowing boat for £9 an hour.", "Rowing boat: £9 an hour"),
    ("Admission: £5.", "Admission: £5"),
    ("Rooms start at €78 a night.", "Rooms: from €78 a night"),
    ("A set of twenty cards costs from £40.", "Set of twenty cards: from £40"),
    ("Breakfast is €11 and dinner is €24.", "Breakfast: €11 | Dinner: €24"),
    ("We charge £60 for a first visit.", "First visit: £60"),
    ("The guided walk costs only £3.50.", "Guided walk: £3.50"),
    ("Eine Tageskarte kostet 12 €.", "Tageskarte: 12 €"),
    ("Die Einzelstunde kostet 45 € pro Stunde.", "Einzelstunde: 45 € pro Stunde"),
    ("Kinder zahlen 4 €.", "Kinder: 4 €"),
    ("Karten kosten 9 €, Schüler zahlen 6 €.", "Karten: 9 € | Schüler: 6 €"),
    ("Der Wochenendkurs kostet 180 Euro je Person.", "Wochenendkurs: 180 Euro je Person"),
    ("Ein Ruderboot mieten Sie für 9 € die Stunde.", "Ruderboot: 9 € die Stunde"),
    ("Eintritt: 5 €.", "Eintritt: 5 €"),
    ("Zimmer gibt es ab 78 € die Nacht.", "Zimmer: ab 78 € die Nacht"),
    ("Das Frühstück kostet 11 € und das Abendessen kostet 24 €.", "Frühstück: 11 € | Abendessen: 24 €"),
    ("Für einen Erstbesuch berechnen wir 60 €.", "Erstbesuch: 60 €"),
    ("Die Führung kostet nur 3,50 €.", "Führung: 3,50 €"),
    ("Eine Probestunde ist für 20 € zu haben.", "Probestunde: 20 €"),
]
NO_PRICES = [
    "The new roof cost £40,000 last year.", "We raised £900 for the lifeboat.", "It costs nothing to ask.", "That would cost too much.",
    "A prize of €500 was given to Ada.", "In 1950 a loaf cost 2 pence.", "Das Dach hat 40.000 € gekostet.", "Wir haben 900 € gesammelt.",
    "Fragen kostet nichts.", "Der Preis von 500 € ging an Ada.", "Sie sparen 20 €.", "You save £20.",
]  # fmt: skip
PEOPLE = [
    ("Ines Carver is our printer.", "Ines Carver", "printer"),
    ("Our printer is Ines Carver.", "Ines Carver", "printer"),
    ("Tom Ashlock founded the press in 1979.", "Tom Ashlock", "founder"),
    ("Tom Ashlock is the founder and head of the press.", "Tom Ashlock", "founder and head of the press"),
    ("Rhona Bell runs the bindery.", "Rhona Bell", "runs the bindery"),
    ("Rhona Bell leads the bindery.", "Rhona Bell", "leads the bindery"),
    ("The kitchen is led by Onno Reet.", "Onno Reet", "kitchen"),
    ("Our head gardener, Ada Fenn, plants the beds.", "Ada Fenn", "head gardener"),
    ("Ada Fenn, our head gardener, plants the beds.", "Ada Fenn", "head gardener"),
    ("Head gardener: Ada Fenn", "Ada Fenn", "Head gardener"),
    ("Ada Fenn looks after the gardens.", "Ada Fenn", "looks after the gardens"),
    ("Meet Ada Fenn, our head gardener.", "Ada Fenn", "head gardener"),
    ("Ada Fenn is responsible for the gardens.", "Ada Fenn", "responsible for the gardens"),
    ("Wiebke Sand ist unsere Wirtin.", "Wiebke Sand", "Wirtin"),
    ("Unsere Wirtin ist Wiebke Sand.", "Wiebke Sand", "Wirtin"),
    ("Tom Aschloh gründete die Presse 1979.", "Tom Aschloh", "Gründer"),
    ("Wiebke Sand leitet das Haus.", "Wiebke Sand", "leitet das Haus"),
    ("Onno Reet führt die Küche.", "Onno Reet", "führt die Küche"),
    ("Die Küche leitet Onno Reet.", "Onno Reet", "Küche"),
    ("Unsere Gärtnerin, Ada Fenn, pflegt die Beete.", "Ada Fenn", "Gärtnerin"),
    ("Ada Fenn, unsere Gärtnerin, pflegt die Beete.", "Ada Fenn", "Gärtnerin"),
    ("Gärtnerin: Ada Fenn", "Ada Fenn", "Gärtnerin"),
    ("Ada Fenn kümmert sich um den Garten.", "Ada Fenn", "kümmert sich um den Garten"),
    ("Ada Fenn ist für den Garten zuständig.", "Ada Fenn", "für den Garten zuständig"),
    ("Ansprechpartnerin: Ada Fenn", "Ada Fenn", "Ansprechpartnerin"),
]
NO_PEOPLE = [
    "River Lane is our street.", "Our river is the Long Beck.", "The House is led by reason.", "Monday Morning is quiet.",
    "Laid Paper is our ground.", "Our standard is Soot on Laid Paper.", "Headline: Ashlock Clarendon", "Tarnbeck Mill runs on water.",
    "Tiefes Watt ist unsere Farbe.", "Unsere Farbe ist Tiefes Watt.", "Überschriften: Deichgraf Antiqua", "Das Haus führt Bücher.",
]  # fmt: skip
DATES = [
    ("On 5 June 2027 we celebrate the Wayzgoose.", "5 June 2027: We celebrate the Wayzgoose"),
    ("The type sale is on 18 September 2027.", "18 September 2027: Type sale"),
    ("The type sale takes place on 18 September 2027.", "18 September 2027: Type sale"),
    ("Our open day is on Saturday, 3 July 2027.", "Saturday, 3 July 2027: Open day"),
    ("Join us for the open day on 3 July 2027.", "3 July 2027: Open day"),
    ("The exhibition opens on 2 May 2027.", "2 May 2027: Exhibition opens"),
    ("Next concert: 12 May 2027.", "12 May 2027: Next concert"),
    ("On June 5, 2027 we open the orchard.", "June 5, 2027: We open the orchard"),
    ("The summer school runs from 1 July 2027 to 9 July 2027.", "1 July 2027 to 9 July 2027: Summer school"),
    ("Am 5. Juni 2027 feiern wir den Bootstag.", "5. Juni 2027: Wir feiern den Bootstag"),
    ("Der Typenmarkt ist am 18. September 2027.", "18. September 2027: Typenmarkt"),
    ("Der Typenmarkt findet am 18. September 2027 statt.", "18. September 2027: Typenmarkt"),
    ("Unser Tag der offenen Tür ist am Samstag, 3. Juli 2027.", "Samstag, 3. Juli 2027: Tag der offenen Tür"),
    ("Die Ausstellung beginnt am 2. Mai 2027.", "2. Mai 2027: Ausstellung beginnt"),
    ("Nächstes Konzert: 12. Mai 2027.", "12. Mai 2027: Nächstes Konzert"),
    ("Kommen Sie am 3. Juli 2027 zum Hoffest.", "3. Juli 2027: Hoffest"),
    ("Die Sommerschule läuft vom 1. Juli 2027 bis 9. Juli 2027.", "1. Juli 2027 bis 9. Juli 2027: Sommerschule"),
    ("Save the date: the harvest supper is on 25 September 2027.", "25 September 2027: Harvest supper"),
    ("From 1 July 2027 to 9 July 2027 we teach drawing outdoors.", "1 July 2027 to 9 July 2027: We teach drawing outdoors"),
    ("Come to the lantern walk on 11 November 2027.", "11 November 2027: Lantern walk"),
    ("The harvest supper will be held on 25 September 2027.", "25 September 2027: Harvest supper"),
    ("25 September 2027, harvest supper in the barn.", "25 September 2027: Harvest supper in the barn"),
    ("Das Erntefest feiern wir am 25. September 2027.", "25. September 2027: Erntefest"),
    ("Vom 1. Juli 2027 bis 9. Juli 2027 zeichnen wir im Freien.", "1. Juli 2027 bis 9. Juli 2027: Wir zeichnen im Freien"),
    ("Merken Sie sich den 25. September 2027: Erntefest.", "25. September 2027: Erntefest"),
    ("Wir laden am 11. November 2027 zum Laternengang ein.", "11. November 2027: Laternengang"),
    ("Ab 2. Mai 2027 ist die Ausstellung zu sehen.", "2. Mai 2027: Ausstellung"),
]
NO_DATES = [
    "The house was built in 1911.", "We met on a Monday.", "Last updated on 3 July 2027.", "Stand: 3. Juli 2027", "Zuletzt geändert am 3. Juli 2027.",
    "Since 1998 we weave.", "In May we rest.", "Version of 5 June 2027", "Im Juni ruhen wir.", "Copyright 2027",
]  # fmt: skip


@pytest.mark.parametrize(("said", "hours"), [*HOURS, *SEASONS])
def test_hours_in_sentences(said: str, hours: str) -> None:
    assert [one.value for one in hours_told(f"About us.\n{said}\nWelcome.")] == [hours]


@pytest.mark.parametrize("said", NO_HOURS)
def test_no_hours(said: str) -> None:
    assert hours_told(said) == []


@pytest.mark.parametrize(("said", "text", "name", "role"), QUOTES)
def test_quotes_in_sentences(said: str, text: str, name: str, role: str) -> None:
    by = ", ".join(filter(None, (name, role)))
    assert [one.value for one in quotes_told(f"About us.\n{said}\nWelcome.")] == [f"“{text}” — {by}"]


@pytest.mark.parametrize("said", NO_QUOTES)
def test_no_quotes(said: str) -> None:
    assert quotes_told(said) == []


@pytest.mark.parametrize(("said", "prices"), PRICES)
def test_prices_in_sentences(said: str, prices: str) -> None:
    assert " | ".join(one.value for one in prices_told(f"About us.\n{said}\nWelcome.")) == prices


@pytest.mark.parametrize("said", NO_PRICES)
def test_no_prices(said: str) -> None:
    assert prices_told(said) == []


@pytest.mark.parametrize(("said", "name", "role"), PEOPLE)
def test_people_in_sentences(said: str, name: str, role: str) -> None:
    assert [one.value for one in people_told(f"About us.\n{said}\nWelcome.")] == [f"{name}, {role}"]


@pytest.mark.parametrize("said", NO_PEOPLE)
def test_no_people(said: str) -> None:
    assert people_told(said) == []


@pytest.mark.parametrize(("said", "date"), DATES)
def test_dates_in_sentences(said: str, date: str) -> None:
    assert [one.value for one in dates_told(f"About us.\n{said}\nWelcome.")] == [date]


@pytest.mark.parametrize("said", NO_DATES)
def test_no_dates(said: str) -> None:
    assert dates_told(said) == []
