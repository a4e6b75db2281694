"""What is read of four folders, against the lists of what a careful person finds in them (made with the folders, by hand)."""

from collections import Counter

import pytest
from clients import DEMO, FOLDERS
from folders import Folder, read, score

from formulon.core.identity.decide import suggested
from formulon.core.identity.facts import facts_of


@pytest.mark.parametrize("folder", FOLDERS, ids=lambda folder: folder.name)
def test_nearly_all_is_found_and_stands_where_it_is_used(folder: Folder) -> None:
    one = score(folder)
    there = sum(one.there.values())
    assert there >= 45
    assert sum(one.found.values()) >= 0.9 * there
    assert sum(one.placed.values()) >= 0.85 * there
    assert len(one.wrong) <= 0.1 * one.taken and one.taken >= 20


def test_all_of_the_demo_is_found() -> None:
    one = score(DEMO)
    assert one.found == one.placed == one.there
    assert one.wrong == []


def test_the_folders_are_unlike_each_other_and_hold_every_kind_several_times() -> None:
    kinds = Counter(kind for folder in FOLDERS for kind, _ in folder.expected)
    assert len(kinds) >= 20 and min(kinds.values()) >= 3
    said = [{str(value) for _, value in folder.expected if not isinstance(value, (dict, float))} for folder in FOLDERS]
    assert not said[0] & said[1] and not said[0] & said[2] and not said[1] & said[2]
    assert {name.rpartition(".")[2] for folder in FOLDERS for name in folder.files} == {
        "html",
        "pdf",
        "odt",
        "docx",
        "md",
        "txt",
    }


@pytest.mark.parametrize("folder", FOLDERS, ids=lambda folder: folder.name)
def test_what_is_expected_is_missed_where_its_file_is_not_there(folder: Folder) -> None:
    """The score can fall: without its files, a folder's facts are neither found nor in place."""
    name, (first, *_) = folder.name, folder.files
    less = score(Folder(name, folder.language, {first: folder.files[first]}, folder.expected))
    assert sum(less.placed.values()) < 0.8 * sum(less.there.values())
    assert all(not reading.problem for reading in read(folder.files))


@pytest.mark.parametrize("folder", [*FOLDERS, DEMO], ids=lambda folder: folder.name)
def test_the_brand_is_called_as_it_is_called(folder: Folder) -> None:
    """And not as the head of a table, whose first column is "Name"."""
    identity = suggested(facts_of(read(folder.files)), "Unnamed")
    assert identity.name == folder.name
