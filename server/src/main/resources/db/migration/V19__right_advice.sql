-- What a layer's looks leave of its time to a full ball and of its chance to root, as it was worked out when a look or a
-- figure changed last. A copy: bytes that are not understood are worked out again.
alter table layer add column kept_time varbinary(4096);

-- A nursery that keeps rules of its own goes over to the new figures where it never set them otherwise: how even the roots
-- of a specimen are to stand, how long a full ball may wait, and how far ahead a cover is chosen. It is a version of its own, and can be set back.
insert into house_rules (number, rules, made_by, made_at)
select number + 1, rules, 'update', utc_timestamp(6) from house_rules order by number desc limit 1;

update house_rules set rules = json_set(rules, '$."next.even"', 0.75)
where made_by = 'update' and json_value(rules, '$."next.even"') = 0.5;

update house_rules set rules = json_set(rules, '$."job.sever-wait"', 7)
where made_by = 'update' and json_value(rules, '$."job.sever-wait"') = 14;

update house_rules set rules = json_set(rules, '$."cover.ahead"', 14)
where made_by = 'update' and json_value(rules, '$."cover.ahead"') = 28;

update house_rules
set rules = json_remove(rules, '$."job.decision-holds"', '$."cover.hot-day"', '$."cover.late"')
where made_by = 'update';

-- Every layer is made anew by the mended rules when the application starts.
delete from day_turn;
