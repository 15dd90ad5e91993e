-- What was written, in turn, by which what is kept in memory follows: stints, and what several of them stand on. Only the newest are kept.
create table written (
    seq integer primary key autoincrement,
    club_id text not null,
    -- temperatures: a water's, which tell the stage of the year; everything: read it all anew; forgotten: notes up to here are gone
    kind text not null check (kind in ('stint', 'trip', 'setup', 'spot', 'rod', 'temperatures', 'everything', 'forgotten')),
    id text not null
) strict;
create index written_by_club on written (club_id, seq);
create index written_by_kind on written (club_id, kind, seq);
create index stints_by_spot_id on stints (club_id, spot_id);

create trigger stint_written after insert on stints begin
    insert into written (club_id, kind, id) values (new.club_id, 'stint', new.stint_id);
end;
create trigger stint_changed after update on stints begin
    insert into written (club_id, kind, id) values (new.club_id, 'stint', new.stint_id);
end;
create trigger stint_gone after delete on stints begin
    insert into written (club_id, kind, id) values (old.club_id, 'stint', old.stint_id);
end;

create trigger catch_written after insert on catches begin
    insert into written (club_id, kind, id) values (new.club_id, 'stint', new.stint_id);
end;
create trigger catch_changed after update on catches begin
    insert into written (club_id, kind, id) values (new.club_id, 'stint', new.stint_id);
end;
create trigger catch_moved after update of stint_id on catches when old.stint_id <> new.stint_id begin
    insert into written (club_id, kind, id) values (old.club_id, 'stint', old.stint_id);
end;
create trigger catch_gone after delete on catches begin
    insert into written (club_id, kind, id) values (old.club_id, 'stint', old.stint_id);
end;

create trigger loss_written after insert on losses begin
    insert into written (club_id, kind, id) values (new.club_id, 'stint', new.stint_id);
end;
create trigger loss_changed after update on losses begin
    insert into written (club_id, kind, id) values (new.club_id, 'stint', new.stint_id);
end;
create trigger loss_moved after update of stint_id on losses when old.stint_id <> new.stint_id begin
    insert into written (club_id, kind, id) values (old.club_id, 'stint', old.stint_id);
end;
create trigger loss_gone after delete on losses begin
    insert into written (club_id, kind, id) values (old.club_id, 'stint', old.stint_id);
end;

create trigger reading_written after insert on readings begin
    insert into written (club_id, kind, id) values (new.club_id, 'trip', new.trip_id);
    insert into written (club_id, kind, id)
        select new.club_id, 'temperatures', water_id from trips
        where club_id = new.club_id and trip_id = new.trip_id and new.water_temp_c is not null;
end;
create trigger reading_changed after update on readings begin
    insert into written (club_id, kind, id) values (new.club_id, 'trip', new.trip_id);
    insert into written (club_id, kind, id)
        select new.club_id, 'temperatures', water_id from trips
        where club_id = new.club_id and trip_id in (old.trip_id, new.trip_id)
          and (new.water_temp_c is not null or old.water_temp_c is not null);
end;
create trigger reading_moved after update of trip_id on readings when old.trip_id <> new.trip_id begin
    insert into written (club_id, kind, id) values (old.club_id, 'trip', old.trip_id);
end;
create trigger reading_gone after delete on readings begin
    insert into written (club_id, kind, id) values (old.club_id, 'trip', old.trip_id);
    insert into written (club_id, kind, id)
        select old.club_id, 'temperatures', water_id from trips
        where club_id = old.club_id and trip_id = old.trip_id and old.water_temp_c is not null;
end;

create trigger trip_changed after update of water_id, deletion_id on trips begin
    insert into written (club_id, kind, id) values (new.club_id, 'trip', new.trip_id);
    insert into written (club_id, kind, id) values (new.club_id, 'temperatures', new.water_id);
    insert into written (club_id, kind, id) values (old.club_id, 'temperatures', old.water_id);
end;
create trigger setup_written after insert on setups begin
    insert into written (club_id, kind, id) values (new.club_id, 'setup', new.setup_id);
end;
create trigger setup_gone after delete on setups begin
    insert into written (club_id, kind, id) values (old.club_id, 'setup', old.setup_id);
end;
create trigger rod_written after insert on rods begin
    insert into written (club_id, kind, id) values (new.club_id, 'rod', new.rod_id);
end;
create trigger rod_changed after update on rods begin
    insert into written (club_id, kind, id) values (new.club_id, 'rod', new.rod_id);
end;
create trigger rod_gone after delete on rods begin
    insert into written (club_id, kind, id) values (old.club_id, 'rod', old.rod_id);
end;
create trigger setup_changed after update on setups begin
    insert into written (club_id, kind, id) values (new.club_id, 'setup', new.setup_id);
end;
create trigger spot_changed after update on spots begin
    insert into written (club_id, kind, id) values (new.club_id, 'spot', new.spot_id);
end;

-- a water that comes in, goes or lies elsewhere is rare, and all its stints change
create trigger water_written after insert on waters begin
    insert into written (club_id, kind, id) values (new.club_id, 'everything', new.water_id);
end;
create trigger water_changed after update of latitude, longitude on waters begin
    insert into written (club_id, kind, id) values (new.club_id, 'everything', new.water_id);
end;
create trigger water_gone after delete on waters begin
    insert into written (club_id, kind, id) values (old.club_id, 'everything', old.water_id);
end;
