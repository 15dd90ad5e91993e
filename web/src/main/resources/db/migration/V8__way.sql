-- How a rod on deck is fished, beside its presentation: what the stints to come on it say.
alter table rods_out add column speed text check (speed in ('slow', 'medium', 'fast'));
alter table rods_out add column pause_s real check (pause_s >= 0);
alter table rods_out add column line_method text;
alter table rods_out add column hook_set text check (hook_set in ('reel', 'sweep', 'hard'));
alter table rods_out add column purpose text check (purpose in ('search', 'follow-up', 'trial'));
alter table rods_out add column fish_position text;
alter table rods_out add column fish_depth_m real check (fish_depth_m >= 0);
-- Whether a person reads winds and currents in knots.
alter table people add column knots integer not null default 0 check (knots in (0, 1));
