-- Instruments and services that a club listens to. These tables are the store's own and no part of the ledger package.
create table instruments (
    club_id text not null references clubs (club_id),
    instrument_id text not null check (length(instrument_id) > 0),
    kind text not null check (kind in ('boat', 'gauge', 'station', 'board')),
    name text not null check (length(name) > 0),
    -- host:port of a feed of lines, http(s) of a service
    address text not null check (length(address) > 0),
    -- whose boat it is in, of a boat's feed or a board
    angler_id text,
    -- which water it is of, of a gauge or a station
    water_id text,
    deletion_id text,
    primary key (club_id, instrument_id),
    check ((angler_id is null) <> (water_id is null)),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id),
    foreign key (club_id, water_id) references waters (club_id, water_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

-- When an instrument was heard last of a column of a trip's readings: a reading carries the others over, and their age is not its own.
create table heard (
    club_id text not null references clubs (club_id),
    trip_id text not null,
    column_name text not null,
    heard_at text not null,
    -- name of the instrument
    by_name text not null,
    primary key (club_id, trip_id, column_name),
    foreign key (club_id, trip_id) references trips (club_id, trip_id)
) strict;
