-- An act's words named the place it moved to, even where its owner keeps it: from now on they hold a mark that each reader's own view fills.
update acts set what = 'moved' where what like 'moved to %';

-- Who logged a rod or a set-up: theirs to change, and an officer's; null for those that came in a package.
alter table rods add column made_by text references people (person_id);
alter table setups add column made_by text references people (person_id);

-- Who brought a guest, and so mends what was logged for them; null for everyone else.
alter table anglers add column brought_by text references people (person_id);

-- Everyone who signs in is an angler: whose a record is goes by anglers, as a package can say it too.
insert into anglers (club_id, angler_id, name) select club_id, person_id, name from people where angler_id is null;
update people set angler_id = person_id where angler_id is null;

alter table trips rename column logged_by to logged_by_person;
alter table trips add column logged_by text;
update trips set logged_by = (select angler_id from people where person_id = logged_by_person);
update trips set logged_by_person = null;

-- A place is kept by an angler, or shared by all; the two older columns say nothing any more.
alter table spots add column kept_by text;
update spots set kept_by = (select angler_id from people where person_id = owner_id) where shared = 0;
update spots set shared = 1, owner_id = null;

-- Counted drops and rules, as the package has them.
create table drops_of_anglers (
    club_id text not null references clubs (club_id),
    drop_id text not null check (length(drop_id) > 0),
    setup_id text not null,
    angler_id text,
    at text not null,
    seconds real not null check (seconds > 0),
    depth_m real not null check (depth_m >= 0),
    salt integer check (salt in (0, 1)),
    how text,
    deletion_id text,
    primary key (club_id, drop_id),
    foreign key (club_id, setup_id) references setups (club_id, setup_id),
    foreign key (club_id, angler_id) references anglers (club_id, angler_id)
) strict;
insert into drops_of_anglers
    select d.club_id, d.drop_id, d.setup_id, p.angler_id, d.counted_at, d.seconds, d.depth_m, d.salt, null, d.deletion_id
    from drops d join people p on p.person_id = d.person_id;
drop table drops;
alter table drops_of_anglers rename to drops;
create index drops_by_setup_id on drops (club_id, setup_id);

create table rules (
    club_id text not null references clubs (club_id),
    rule_id text not null check (length(rule_id) > 0),
    water_id text not null,
    -- null for what is ruled of the water as a whole
    species text,
    least_mm real check (least_mm > 0),
    slot_from_mm real check (slot_from_mm > 0),
    slot_to_mm real check (slot_to_mm >= slot_from_mm),
    closed_from text check (closed_from like '__-__'),
    closed_to text check (closed_to like '__-__'),
    bag integer check (bag >= 0),
    lead_forbidden integer check (lead_forbidden in (0, 1)),
    deletion_id text,
    primary key (club_id, rule_id),
    check ((closed_from is null) = (closed_to is null)),
    check ((slot_from_mm is null) = (slot_to_mm is null)),
    foreign key (club_id, water_id) references waters (club_id, water_id)
) strict;
insert into rules
    select club_id, rule_id, water_id, species, least_mm, slot_from_mm, slot_to_mm, closed_from, closed_to, bag, null, null from water_rules;
insert into rules (club_id, rule_id, water_id, lead_forbidden)
    select club_id, 'lead-' || water_id, water_id, 1 from waters where lead_forbidden = 1;
create index rules_by_water_id on rules (club_id, water_id);
drop table water_rules;
alter table waters drop column lead_forbidden;
