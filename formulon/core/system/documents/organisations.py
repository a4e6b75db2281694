"""Kinds of organisation: what their sites usually hold and what has to be asked. None of them fills in a fact."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Organisation:
    """Pages that are usual besides the four that every site has, and questions of the trade. Common practice."""

    id: str
    name: str
    about: str
    pages: tuple[str, ...]
    questions: tuple[str, ...]


_ALL = (
    Organisation(
        "visit", "A place to visit", "museum, observatory, garden, tower", ("Visit", "Programme", "Schools"),
        ("What does an evening or a day with you hold, hour by hour?", "How do people get there, and where do they park?"),
    ),
    Organisation(
        "workshop", "A workshop or maker", "things made by hand, to order or to stock", ("How it is made", "Courses"),
        ("What is it made of, and where does that come from?", "How long does a piece take, and can it be ordered?"),
    ),
    Organisation(
        "table", "A place to eat or drink", "restaurant, café, inn, bakery", ("Menu", "Bookings"),
        ("What is the one dish people come back for?", "Is a table booked, or does one walk in?"),
    ),
    Organisation(
        "practice", "A practice", "health, therapy, care", ("Treatments", "First visit"),
        ("Who treats, and with which training?", "What happens at a first visit, and what should people bring?"),
    ),
    Organisation(
        "counsel", "An office or studio", "advice, design, law, engineering", ("Work", "How we work"),
        ("Which three pieces of work show best what you do?", "How does working with you go, step by step?"),
    ),
    Organisation(
        "trade", "A trade", "building, repair, gardening, transport", ("Work", "Area"),
        ("How far do you travel, and what is outside your area?", "Are you insured or certified, and by whom?"),
    ),
    Organisation(
        "shop", "A shop", "goods on shelves, at one place or several", ("Range", "Delivery"),
        ("What do you have that others have not?", "Do you deliver, and what does it cost?"),
    ),
    Organisation(
        "school", "A school or courses", "teaching, for children or adults", ("Courses", "Fees", "Teachers"),
        ("Who teaches, and how large is a group?", "When does the next course begin?"),
    ),
    Organisation(
        "cause", "An association or cause", "members, donors, volunteers", ("What we do", "Take part"),
        ("What has changed because of you, in numbers?", "What should a visitor do first: join, give or come along?"),
    ),
    Organisation(
        "stay", "A place to stay", "rooms, a farm, a campsite", ("Rooms", "Around us"),
        ("How many rooms are there, and how do they differ?", "What is in walking distance?"),
    ),
    Organisation(
        "event", "A festival or event", "days in the year, a programme", ("Programme", "Getting here"),
        ("On which days is it, and at what hours?", "Where are tickets, and what do they cost?"),
    ),
)  # fmt: skip
ORGANISATIONS = {one.id: one for one in _ALL}
