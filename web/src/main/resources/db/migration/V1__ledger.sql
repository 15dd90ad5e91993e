-- One database holds several clubs. Every row carries its club, ids are unique in their club, and references cannot cross from one club to
-- another. The tables of the record have the names and columns of the ledger package; beside them stand the store's own columns.

create table clubs (
    club_id text not null primary key check (length(club_id) > 0),
    name text not null check (length(trim(name)) > 0),
    -- rises with every write to the club's records, so that what was reckoned from them can tell that it is old
    version integer not null default 0
) strict;

create table people (
    person_id text not null primary key check (length(person_id) > 0),
    club_id text not null references clubs (club_id),
    sign_in text not null unique check (length(trim(sign_in)) > 0 and sign_in = lower(sign_in)),
    name text not null check (length(trim(name)) > 0),
    password_hash text not null,
    role text not null check (role in ('member', 'guide', 'officer')),
    angler_id text,
    units text not null default 'metric' check (units in ('metric', 'us')),
    theme text not null default 'sun' check (theme in ('sun', 'glare', 'dusk')),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id)
) strict;

create table deletions (
    club_id text not null references clubs (club_id),
    deletion_id text not null,
    deleted_at text not null,
    person_id text not null references people (person_id),
    what text not null,
    primary key (club_id, deletion_id)
) strict;

create table anglers (
    club_id text not null references clubs (club_id),
    angler_id text not null check (length(angler_id) > 0),
    name text,
    primary key (club_id, angler_id)
) strict;

create table waters (
    club_id text not null references clubs (club_id),
    water_id text not null check (length(water_id) > 0),
    name text not null,
    kind text not null check (kind in ('reservoir', 'lake', 'river', 'canal', 'estuary', 'pond')),
    latitude real check (latitude between -90 and 90),
    longitude real check (longitude between -180 and 180),
    time_zone text,
    primary key (club_id, water_id),
    check ((latitude is null) = (longitude is null))
) strict;

create table spots (
    club_id text not null references clubs (club_id),
    spot_id text not null check (length(spot_id) > 0),
    water_id text not null,
    label text,
    structure text,
    bottom text,
    cover text,
    latitude real check (latitude between -90 and 90),
    longitude real check (longitude between -180 and 180),
    owner_id text references people (person_id),
    shared integer not null default 1 check (shared in (0, 1)),
    primary key (club_id, spot_id),
    check ((latitude is null) = (longitude is null)),
    check (shared = 1 or owner_id is not null),
    foreign key (club_id, water_id) references waters (club_id, water_id)
) strict;

create table setups (
    club_id text not null references clubs (club_id),
    setup_id text not null check (length(setup_id) > 0),
    from_setup_id text,
    rig text not null,
    head_shape text,
    head_mass_g real check (head_mass_g > 0),
    head_material text,
    head_colour text,
    hook_size text,
    hook_wire text,
    weed_guard text,
    keeper text,
    skirt text,
    blade text,
    rattle text,
    plastic text,
    plastic_length_mm real check (plastic_length_mm >= 0),
    plastic_material text,
    colour text,
    colour_accent text,
    leader_mm real check (leader_mm >= 0),
    line_material text,
    line_strength_n real check (line_strength_n > 0),
    line_diameter_mm real check (line_diameter_mm >= 0),
    leader_material text,
    leader_strength_n real check (leader_strength_n > 0),
    leader_diameter_mm real check (leader_diameter_mm >= 0),
    primary key (club_id, setup_id),
    foreign key (club_id, from_setup_id) references setups (club_id, setup_id) deferrable initially deferred
) strict;

create table rods (
    club_id text not null references clubs (club_id),
    rod_id text not null check (length(rod_id) > 0),
    name text,
    length_mm real check (length_mm >= 0),
    power text,
    action text,
    lure_min_g real check (lure_min_g > 0),
    lure_max_g real check (lure_max_g >= lure_min_g),
    retrieve_mm real check (retrieve_mm >= 0),
    primary key (club_id, rod_id)
) strict;

create table trips (
    club_id text not null references clubs (club_id),
    trip_id text not null check (length(trip_id) > 0),
    water_id text not null,
    started_at text not null,
    ended_at text check (ended_at >= started_at),
    note text,
    logged_by text references people (person_id),
    deletion_id text,
    primary key (club_id, trip_id),
    foreign key (club_id, water_id) references waters (club_id, water_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create table readings (
    club_id text not null references clubs (club_id),
    reading_id text not null check (length(reading_id) > 0),
    trip_id text not null,
    at text not null,
    water_temp_c real,
    clarity_m real check (clarity_m >= 0),
    sky text,
    wind_mps real check (wind_mps >= 0),
    wind_from_deg real check (wind_from_deg >= 0 and wind_from_deg < 360),
    current_mps real check (current_mps >= 0),
    level_trend text,
    tide text check (tide in ('flood', 'high slack', 'ebb', 'low slack')),
    weather text check (weather in ('settled', 'warming', 'front coming', 'after a front')),
    pressure text check (pressure in ('none', 'some', 'heavy')),
    air_pressure_hpa real,
    air_temp_c real,
    forage text,
    forage_length_mm real check (forage_length_mm >= 0),
    source text check (source in ('hand', 'instrument', 'service')),
    deletion_id text,
    primary key (club_id, reading_id),
    foreign key (club_id, trip_id) references trips (club_id, trip_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create table stints (
    club_id text not null references clubs (club_id),
    stint_id text not null check (length(stint_id) > 0),
    trip_id text not null,
    angler_id text not null,
    spot_id text,
    setup_id text not null,
    started_at text not null,
    minutes real not null check (minutes > 0),
    casts integer check (casts >= 0),
    rod_id text,
    depth_m real check (depth_m >= 0),
    fish_position text,
    presentation text,
    speed text check (speed in ('slow', 'medium', 'fast')),
    pause_s real check (pause_s >= 0),
    line_method text,
    hook_set text check (hook_set in ('reel', 'sweep', 'hard')),
    purpose text check (purpose in ('search', 'follow-up', 'trial')),
    plastics_used integer check (plastics_used >= 0),
    follows integer not null default 0 check (follows >= 0),
    bites integer not null default 0 check (bites >= hooked),
    hooked integer not null default 0 check (hooked >= 0),
    deletion_id text,
    primary key (club_id, stint_id),
    foreign key (club_id, trip_id) references trips (club_id, trip_id),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id),
    foreign key (club_id, spot_id) references spots (club_id, spot_id),
    foreign key (club_id, setup_id) references setups (club_id, setup_id),
    foreign key (club_id, rod_id) references rods (club_id, rod_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create table catches (
    club_id text not null references clubs (club_id),
    catch_id text not null check (length(catch_id) > 0),
    stint_id text not null,
    at text,
    species text not null,
    count integer not null default 1 check (count >= 1),
    length_mm real check (length_mm > 0),
    length_how text check (length_how in ('measured', 'estimated')),
    mass_g real check (mass_g > 0),
    mass_how text check (mass_how in ('measured', 'estimated', 'from_length')),
    bite_on text,
    kept integer check (kept in (0, 1)),
    deletion_id text,
    primary key (club_id, catch_id),
    foreign key (club_id, stint_id) references stints (club_id, stint_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create table touches (
    club_id text not null references clubs (club_id),
    touch_id text not null check (length(touch_id) > 0),
    stint_id text not null,
    at text not null,
    kind text not null check (kind in ('follow', 'bite', 'hooked')),
    deletion_id text,
    primary key (club_id, touch_id),
    foreign key (club_id, stint_id) references stints (club_id, stint_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create table signs (
    club_id text not null references clubs (club_id),
    sign_id text not null check (length(sign_id) > 0),
    trip_id text not null,
    spot_id text,
    at text not null,
    kind text not null check (kind in ('bait showing', 'fish breaking', 'birds', 'fish on sonar', 'prey seen', 'none')),
    note text,
    deletion_id text,
    primary key (club_id, sign_id),
    foreign key (club_id, trip_id) references trips (club_id, trip_id),
    foreign key (club_id, spot_id) references spots (club_id, spot_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create table losses (
    club_id text not null references clubs (club_id),
    loss_id text not null check (length(loss_id) > 0),
    stint_id text not null,
    at text,
    cause text not null,
    count integer not null default 1 check (count >= 1),
    deletion_id text,
    primary key (club_id, loss_id),
    foreign key (club_id, stint_id) references stints (club_id, stint_id),
    foreign key (club_id, deletion_id) references deletions (club_id, deletion_id)
) strict;

create index trips_by_started_at on trips (club_id, started_at);
create index readings_by_trip_id on readings (club_id, trip_id);
create index stints_by_trip_id on stints (club_id, trip_id);
create index stints_by_setup_id on stints (club_id, setup_id);
create index catches_by_stint_id on catches (club_id, stint_id);
create index touches_by_stint_id on touches (club_id, stint_id);
create index signs_by_trip_id on signs (club_id, trip_id);
create index losses_by_stint_id on losses (club_id, stint_id);
create index spots_by_water_id on spots (club_id, water_id);
