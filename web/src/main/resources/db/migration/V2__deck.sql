-- A trip being fished. It is live while the trip has no end. These tables are the store's own and no part of the ledger package.

create table decks (
    club_id text not null references clubs (club_id),
    trip_id text not null,
    -- when the day is to end, as far as it was said
    until_at text,
    -- when each column of the readings was looked at last: a reading carries the others over, and their age is not its own
    seen text not null default '{}',
    -- columns that were asked for and waved off
    waved text not null default '[]',
    primary key (club_id, trip_id),
    foreign key (club_id, trip_id) references trips (club_id, trip_id)
) strict;

create table rods_out (
    club_id text not null references clubs (club_id),
    rod_out_id text not null check (length(rod_out_id) > 0),
    trip_id text not null,
    number integer not null check (number between 1 and 8),
    angler_id text not null,
    rod_id text,
    setup_id text not null,
    spot_id text,
    depth_m real check (depth_m >= 0),
    presentation text,
    -- the stint that is running; its minutes stand at the last touch until it ends
    stint_id text,
    touched_at text not null,
    primary key (club_id, rod_out_id),
    unique (club_id, trip_id, number),
    foreign key (club_id, trip_id) references decks (club_id, trip_id),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id),
    foreign key (club_id, rod_id) references rods (club_id, rod_id),
    foreign key (club_id, setup_id) references setups (club_id, setup_id),
    foreign key (club_id, spot_id) references spots (club_id, spot_id),
    foreign key (club_id, stint_id) references stints (club_id, stint_id) deferrable initially deferred
) strict;

-- What was done on a deck, with every row it changed as it was before and after: so a touch sent twice is stored once, and all can be undone.
create table acts (
    club_id text not null references clubs (club_id),
    act_id text not null check (length(act_id) > 0),
    trip_id text not null,
    number integer not null,
    acted_at text not null,
    person_id text not null references people (person_id),
    what text not null,
    changes text not null,
    undone integer not null default 0 check (undone in (0, 1)),
    primary key (club_id, act_id),
    unique (club_id, trip_id, number)
) strict;

-- What a club wrote down of the rules of a water. The published local rules prevail.
create table water_rules (
    club_id text not null references clubs (club_id),
    rule_id text not null check (length(rule_id) > 0),
    water_id text not null,
    species text not null,
    least_mm real check (least_mm > 0),
    slot_from_mm real check (slot_from_mm > 0),
    slot_to_mm real check (slot_to_mm >= slot_from_mm),
    closed_from text check (closed_from like '__-__'),
    closed_to text check (closed_to like '__-__'),
    bag integer check (bag >= 0),
    primary key (club_id, rule_id),
    unique (club_id, water_id, species),
    check ((closed_from is null) = (closed_to is null)),
    check ((slot_from_mm is null) = (slot_to_mm is null)),
    foreign key (club_id, water_id) references waters (club_id, water_id)
) strict;

alter table waters add column lead_forbidden integer not null default 0 check (lead_forbidden in (0, 1));
create index acts_by_trip_id on acts (club_id, trip_id, number);
create index rods_out_by_trip_id on rods_out (club_id, trip_id);
