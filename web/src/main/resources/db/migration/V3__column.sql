-- How long a set-up was counted to take to a depth on slack line. The store's own and no part of the ledger package.
create table drops (
    club_id text not null references clubs (club_id),
    drop_id text not null check (length(drop_id) > 0),
    setup_id text not null,
    person_id text not null references people (person_id),
    counted_at text not null,
    seconds real not null check (seconds > 0),
    depth_m real not null check (depth_m > 0),
    salt integer not null default 0 check (salt in (0, 1)),
    deletion_id text,
    primary key (club_id, drop_id),
    foreign key (club_id, setup_id) references setups (club_id, setup_id)
) strict;

-- Casts over an arc from where a boat lies on a trip, and those of them that were made.
create table fans (
    club_id text not null references clubs (club_id),
    fan_id text not null check (length(fan_id) > 0),
    trip_id text not null,
    spot_id text,
    toward_deg real not null check (toward_deg >= 0 and toward_deg < 360),
    arc_deg real not null check (arc_deg > 0 and arc_deg <= 360),
    cast_m real not null check (cast_m > 0),
    strike_m real not null check (strike_m > 0),
    cast_s real not null check (cast_s > 0),
    primary key (club_id, fan_id),
    foreign key (club_id, trip_id) references decks (club_id, trip_id),
    foreign key (club_id, spot_id) references spots (club_id, spot_id)
) strict;

create table fan_casts (
    club_id text not null references clubs (club_id),
    fan_cast_id text not null check (length(fan_cast_id) > 0),
    fan_id text not null,
    number integer not null check (number >= 0),
    primary key (club_id, fan_cast_id),
    unique (club_id, fan_id, number),
    foreign key (club_id, fan_id) references fans (club_id, fan_id)
) strict;

create index drops_by_setup_id on drops (club_id, setup_id);
create index fans_by_trip_id on fans (club_id, trip_id);
