-- What the second edition of the ledger knows more: of hooks, leaders, bodies, places, prey and bites.
alter table setups add column leader_length_mm real check (leader_length_mm >= 0);
alter table setups add column line_colour text;
alter table setups add column hook_pattern text;
alter table setups add column plastic_body text check (plastic_body in ('solid', 'hollow', 'thin-walled', 'ribbed'));
alter table setups add column trimmed_from_mm real check (trimmed_from_mm > 0);
alter table setups add column pegged integer check (pegged in (0, 1));
alter table spots add column slope text check (slope in ('flat', 'gentle', 'steep'));
alter table spots add column top_m real check (top_m >= 0);
alter table spots add column foot_m real check (foot_m >= 0);
alter table spots add column shelter text check (shelter in ('lee', 'windward', 'open'));
alter table spots add column shade integer check (shade in (0, 1));
alter table readings add column how text check (how in ('measured', 'judged'));
alter table readings add column prey_colour text;
alter table stints add column fish_depth_m real check (fish_depth_m >= 0);
alter table catches add column hooked_in text;
alter table touches add column bite_on text;
alter table touches add column felt text check (felt in ('tick', 'weight', 'slack line', 'line jump', 'rod tip', 'seen', 'not felt'));
