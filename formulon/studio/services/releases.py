"""Releases: a site that passed preflight, published whole or not at all."""

import hashlib
import io
import os
import zipfile
from concurrent.futures import ThreadPoolExecutor

from django.contrib.auth.models import User
from django.db import transaction
from django.utils import timezone
from django.utils.dateformat import format as date_format

from formulon.core.browser import printed
from formulon.core.checks.findings import Report
from formulon.core.checks.preflight import Preflight
from formulon.core.site.documents import FRAME_DOCUMENT, IDENTITY, of_site
from formulon.core.site.editions import rendered_all
from formulon.core.site.fonts import lean
from formulon.core.site.forms import taken_at
from formulon.core.site.guide import FILE, guide_alone, guide_files
from formulon.core.site.languages import lines, missing, own_name, published
from formulon.core.site.site import Site
from formulon.core.site.social import social_path, social_picture
from formulon.core.site.versions import versioned
from formulon.studio.errors import Stopped, Unmeasured
from formulon.studio.models import Blob, Brand, Release
from formulon.studio.services import measuring
from formulon.studio.services.preflight import KEPT
from formulon.studio.services.sites import blob_of, bodies_of, load, site_in
from formulon.studio.services.sweeping import refuse_over_quota


@transaction.atomic
def publish(brand: Brand, author: User | None) -> Release:
    """Makes the site as it is now the live release. Raises Stopped where preflight finds a stop."""
    brand = Brand.objects.select_for_update().get(pk=brand.pk)
    bodies, _ = bodies_of(brand)
    site = site_in(brand, bodies)
    system = site.system()
    report = _passed(brand, site, site)
    in_all = published(site)
    for folder, one in in_all.items():
        if folder:
            _refuse_unfinished(site, one, brand, folder)
    whole = measuring.progress(brand).whole
    if not whole and measuring.awaited(brand):
        raise Unmeasured("The release waits until a browser has looked at all its pages. Measure them in preflight.")
    drawn = rendered_all(in_all, blob_of(brand))
    if site.choices.publish_guide:
        drawn |= guide_files(site, system)
    last = brand.releases.first()
    # Pictures of links that the last release has as they are stay; their paths say what they were drawn from.
    pictures = {
        folder + social_path(one, one.system(), page): (one, page) for folder, one in in_all.items() for page in one.drawn
    }
    kept = {path: last.files[path] for path in pictures if path in last.files} if last else {}
    missing = [path for path in pictures if path not in kept]

    def picture(path: str) -> bytes:
        of, page = pictures[path]
        return social_picture(of, of.system(), page, blob_of(brand))

    # What opens fonts and photographs, which lie in this thread's database.
    here = [path for path in missing if pictures[path][1].card or path == missing[0]]
    missing = [*here, *(path for path in missing if path not in here)]
    for path in here:
        drawn[path] = picture(path)
    with ThreadPoolExecutor(os.cpu_count()) as pool:  # most of the work is done outside Python's lock
        rest = missing[len(here) :]
        drawn |= zip(rest, pool.map(picture, rest), strict=True)
    drawn = versioned(lean(in_all, drawn))
    files = {path: (hashlib.sha256(data).hexdigest(), data) for path, data in drawn.items()}
    # What is there already is fresh from now on, so that a sweep meanwhile leaves it.
    there = Blob.objects.filter(pk__in=[digest for digest, _ in files.values()])
    there.update(made=timezone.now())
    known = set(there.values_list("pk", flat=True))
    fresh = {digest: data for digest, data in files.values() if digest not in known}
    refuse_over_quota(brand.workspace_id, sum(map(len, fresh.values())))
    blobs = [Blob(sha256=digest, data=data, size=len(data)) for digest, data in fresh.items()]
    Blob.objects.bulk_create(blobs, ignore_conflicts=True)
    return Release.objects.create(
        brand=brand,
        number=last.number + 1 if last else 1,
        author=author,
        files={path: digest for path, (digest, _) in files.items()} | kept,
        snapshot=of_site(bodies),
        counts=report.counts,
        report=report.to_json(),
        measured=whole,
    )


def _passed(brand: Brand, site: Site, one: Site, folder: str = "", name: str = "") -> Report:
    """What is found of a site in one of its languages, predicted and measured. Raises Stopped where something of it stops a release."""
    predicted = Preflight(one, open_blob=blob_of(brand), kept=KEPT).report()
    report = measuring.over(brand, site, predicted, folder)
    if report.stopped and folder:
        first = next(finding for finding in report.findings if finding.stops)
        raise Stopped(f"The release is held back in {name}: {first.message}", counts=report.counts)
    if report.stopped:
        count = report.counts["stop"]
        what = "one finding stops" if count == 1 else f"{count} findings stop"
        raise Stopped(f"The release is held back: {what} it. Look at them in preflight.", counts=report.counts)
    return report


def _refuse_unfinished(site: Site, other: Site, brand: Brand, folder: str) -> None:
    """Raises Stopped where a language that is to be published has texts without a translation, or where its pages have what stops a
    release."""
    code = other.identity.language
    count = missing(lines(site, code))
    if count:
        what = "text is" if count == 1 else "texts are"
        raise Stopped(
            f"The release is held back: {count} {what} not translated into {own_name(code)}. Look at them in Languages."
        )
    _passed(brand, site, other, folder, own_name(code))


def guide_archive(brand: Brand) -> bytes:
    """The style guide as it is now, as a ZIP that stands by itself."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as package:
        for path, data in sorted(_guide(brand).items()):
            package.writestr(zipfile.ZipInfo(path), data, zipfile.ZIP_DEFLATED)
    return out.getvalue()


def guide_print(brand: Brand) -> bytes:
    """The style guide as it is now, printed as PDF."""
    return printed(_guide(brand), FILE)


def _guide(brand: Brand) -> dict[str, bytes]:
    """The files of the style guide. Fonts that may not leave the house stay out; their stand-ins are shown."""
    site = load(brand)
    kept_out = tuple(f"fonts/{font.id}/" for font in site.identity.fonts if font.restricted)
    made = guide_alone(site, site.system(), date_format(timezone.localdate(), "j F Y"))
    return {path: data for path, data in made.items() if not (path.startswith(kept_out) and path.endswith(".woff2"))}


def archive(release: Release, address: str) -> bytes:
    """The release as a ZIP that any static server can serve. The same release gives the same bytes. Fonts whose files
    forbid embedding are for the site alone and stay out; pages then show their stand-ins. Forms are sent where the frame says, else to
    the site's own `address` on this host, which takes them from anywhere."""
    stated = release.snapshot[FRAME_DOCUMENT].get("forms_at", "")
    fonts = release.snapshot[IDENTITY].get("fonts", [])
    kept_out = tuple(f"fonts/{font['id']}/" for font in fonts if font["restricted"])
    blobs = {blob.sha256: bytes(blob.data) for blob in Blob.objects.filter(pk__in=set(release.files.values()))}
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as package:
        for path, digest in sorted(release.files.items()):
            if kept_out and path.startswith(kept_out) and path.endswith(".woff2"):
                continue
            entry = zipfile.ZipInfo(path, date_time=release.created.timetuple()[:6])
            entry.external_attr = 0o644 << 16
            data = blobs[digest]
            if path.endswith(".html"):
                data = taken_at(data, stated, address + path.rpartition("/")[0] + ("/" if "/" in path else ""))
            package.writestr(entry, data, zipfile.ZIP_DEFLATED)
    return out.getvalue()
