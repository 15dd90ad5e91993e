-- One may come in to read only. A check cannot be changed in place: the column is made anew.
alter table people add column role_anew text not null default 'member' check (role_anew in ('guest', 'member', 'guide', 'officer'));
update people set role_anew = role;
alter table people drop column role;
alter table people rename column role_anew to role;

-- Whoever left keeps their row, since what they changed still says by whom; they cannot sign in and are no longer shown.
alter table people add column left_at text;

-- A link that lets one person in, or back in where they lost their password: once and until a moment; only its digest is kept.
create table links (
    digest text not null primary key check (length(digest) = 64),
    club_id text not null references clubs (club_id),
    link_id text not null unique,
    -- what a newcomer may do
    role text check (role in ('guest', 'member', 'guide', 'officer')),
    -- whose records are the newcomer's; null for somebody new in them
    angler_id text,
    -- who chooses a new password by it; null for a newcomer
    person_id text references people (person_id),
    -- whom it was made for, in words
    for_whom text not null default '',
    made_by text references people (person_id),
    ends_at text not null,
    check ((role is null) <> (person_id is null)),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id)
) strict;
insert into links (digest, club_id, link_id, role, ends_at) select digest, club_id, digest, role, ends_at from invitations;
drop table invitations;

-- Devices on which somebody stays signed in: of the secret that a device holds, the digest only.
create table devices (
    device_id text not null primary key check (length(device_id) > 0),
    person_id text not null references people (person_id),
    digest text not null check (length(digest) = 64),
    -- what the device says it is
    name text not null,
    began_at text not null,
    seen_at text not null
) strict;
create index devices_by_person_id on devices (person_id);

-- What was changed in the record by a form: by whom, and the row before and after, so that it can be put back.
create table changes (
    club_id text not null references clubs (club_id),
    change_id text not null check (length(change_id) > 0),
    changed_at text not null,
    person_id text not null references people (person_id),
    -- the angler whose record it is; null for the club's
    angler_id text,
    what text not null,
    images text not null,
    undone_by text references people (person_id),
    primary key (club_id, change_id)
) strict;
create index changes_by_changed_at on changes (club_id, changed_at);

-- How much of what an angler fished others see: everywhere (no water, no place), on a water, or at a place of theirs.
create table sharing (
    club_id text not null references clubs (club_id),
    sharing_id text not null check (length(sharing_id) > 0),
    angler_id text not null,
    water_id text,
    spot_id text,
    level text not null check (level in ('all', 'kind', 'water', 'nothing')),
    primary key (club_id, sharing_id),
    check (water_id is null or spot_id is null),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id),
    foreign key (club_id, water_id) references waters (club_id, water_id),
    foreign key (club_id, spot_id) references spots (club_id, spot_id)
) strict;
create unique index sharing_by_what on sharing (club_id, angler_id, coalesce(water_id, ''), coalesce(spot_id, ''));
create index sharing_by_level on sharing (club_id, level);

-- A club's own words: one that it took up, one that stands for another, and how a word is said here. Records keep what was written.
create table words (
    club_id text not null references clubs (club_id),
    word_id text not null check (length(word_id) > 0),
    column_name text not null,
    word text not null check (length(trim(word)) > 0),
    -- null for a word of its own
    stands_for text check (length(trim(stands_for)) > 0 and stands_for <> word),
    -- null where it is said as it is written
    said_as text check (length(trim(said_as)) > 0),
    person_id text references people (person_id),
    settled_at text not null,
    primary key (club_id, word_id),
    unique (club_id, column_name, word)
) strict;

-- The bank line of a water, as a GeoJSON geometry; the store's own and no part of the ledger package.
alter table waters add column outline text;

-- Longer fish go back too, and what a rule says beside figures.
alter table rules add column most_mm real check (most_mm > 0);
alter table rules add column gear text;
alter table rules add column bait text;
alter table rules add column prey text;
