-- Stints from notebooks in which nobody wrote how long, or at what time of the day: what stands there stands in for it.
alter table stints add column not_recorded text check (not_recorded in ('minutes', 'time', 'minutes and time'));

-- What came in as a whole is undone as a whole: everything that came in one import bears its mark.
create table imports (
    club_id text not null references clubs (club_id),
    import_id text not null check (length(import_id) > 0),
    imported_at text not null,
    -- null where it came by the command line
    person_id text references people (person_id),
    -- name of the file
    what text not null,
    -- in words
    said text not null,
    -- the deletion that took it back; null while it stands
    deletion_id text,
    primary key (club_id, import_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

-- Rows that an import wrote over, as they were before; after it was taken back as they were by it.
create table import_changes (
    club_id text not null references clubs (club_id),
    import_id text not null,
    changed text not null,
    row_id text not null,
    image text not null,
    primary key (club_id, import_id, changed, row_id),
    foreign key (club_id, import_id) references imports (club_id, import_id)
) strict;

alter table anglers add column deletion_id text;
alter table waters add column deletion_id text;
alter table spots add column deletion_id text;
alter table setups add column deletion_id text;
alter table rods add column deletion_id text;

alter table anglers add column import_id text;
alter table waters add column import_id text;
alter table spots add column import_id text;
alter table setups add column import_id text;
alter table rods add column import_id text;
alter table trips add column import_id text;
alter table readings add column import_id text;
alter table stints add column import_id text;
alter table catches add column import_id text;
alter table touches add column import_id text;
alter table signs add column import_id text;
alter table losses add column import_id text;
alter table drops add column import_id text;
alter table rules add column import_id text;

-- How a club's spreadsheets are understood, by a name of its own.
create table mappings (
    club_id text not null references clubs (club_id),
    mapping_id text not null check (length(mapping_id) > 0),
    name text not null check (length(name) > 0),
    body text not null,
    made_by text references people (person_id),
    made_at text not null,
    primary key (club_id, mapping_id),
    unique (club_id, name)
) strict;
