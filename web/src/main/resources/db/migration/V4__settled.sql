-- Rises as version does, but not with what is done on a trip while it is fished: what was learnt from ended trips stays good meanwhile.
alter table clubs add column settled integer not null default 0;

-- A link that lets one person in, once and until a moment: only its digest is kept.
create table invitations (
    digest text not null primary key check (length(digest) = 64),
    club_id text not null references clubs (club_id),
    role text not null check (role in ('member', 'guide', 'officer')),
    ends_at text not null
) strict;
