-- What was planned: calls that were kept, with what each rod of them promised; trials; the lot. These tables are the store's own and no part of the ledger package.

create table calls (
    club_id text not null references clubs (club_id),
    call_id text not null check (length(call_id) > 0),
    angler_id text,
    water_id text not null,
    -- the trip it was fished on; null while it was not
    trip_id text,
    called_at text not null,
    species text,
    conditions text not null,
    primary key (club_id, call_id),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id),
    foreign key (club_id, water_id) references waters (club_id, water_id),
    foreign key (club_id, trip_id) references trips (club_id, trip_id)
) strict;
create index calls_by_trip_id on calls (club_id, trip_id);

create table called_rods (
    club_id text not null references clubs (club_id),
    called_rod_id text not null check (length(called_rod_id) > 0),
    call_id text not null,
    number integer not null,
    setup_id text not null,
    presentation text,
    role text not null,
    -- fish a rod-hour; null where there were no records to reckon one from
    rate real check (rate > 0),
    low real check (low > 0),
    high real check (high >= low),
    -- ids of the rules that spoke for it
    rules text not null default '[]',
    primary key (club_id, called_rod_id),
    unique (club_id, call_id, number),
    foreign key (club_id, call_id) references calls (club_id, call_id),
    foreign key (club_id, setup_id) references setups (club_id, setup_id)
) strict;

create table trials (
    club_id text not null references clubs (club_id),
    trial_id text not null check (length(trial_id) > 0),
    made_by text not null references people (person_id),
    made_at text not null,
    ended_at text,
    setup_a text not null,
    setup_b text not null check (setup_b <> setup_a),
    species text,
    minutes integer not null check (minutes between 5 and 120),
    hours_each real not null check (hours_each > 0),
    seed integer not null,
    primary key (club_id, trial_id),
    foreign key (club_id, setup_a) references setups (club_id, setup_id),
    foreign key (club_id, setup_b) references setups (club_id, setup_id)
) strict;

-- one swap in so many by lot; 0 for none
alter table decks add column lot integer not null default 0 check (lot in (0, 2, 5, 10));
-- set-ups in the boat beside those on the rods
alter table decks add column pack text not null default '[]';
-- the questions that were ranked first when the lot was taken up: factor, level and the other level of each
alter table decks add column questions text not null default '[]';
-- the trial that is fished; null for none
alter table decks add column trial_id text;
-- swaps of the rod so far, those declined too, which the lot is drawn by
alter table rods_out add column swaps integer not null default 0 check (swaps >= 0);

-- Every swap by lot that was offered, taken or declined: a lot refused whenever fish are biting is not to be taken for one obeyed.
create table lots (
    club_id text not null references clubs (club_id),
    lot_id text not null check (length(lot_id) > 0),
    trip_id text not null,
    rod_out_id text not null,
    angler_id text not null,
    drawn_at text not null,
    setup_id text not null,
    instead_of text not null,
    factor text not null,
    level text not null,
    -- whether it answers a ranked question
    asked integer not null check (asked in (0, 1)),
    taken integer not null check (taken in (0, 1)),
    primary key (club_id, lot_id),
    foreign key (club_id, trip_id) references trips (club_id, trip_id),
    foreign key (club_id, rod_out_id) references rods_out (club_id, rod_out_id),
    foreign key (club_id, setup_id) references setups (club_id, setup_id)
) strict;
create index lots_by_trip_id on lots (club_id, trip_id);

-- schools that a person follows where schools disagree, by question
alter table people add column schools text not null default '{}';
