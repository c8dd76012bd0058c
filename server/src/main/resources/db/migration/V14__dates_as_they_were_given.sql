-- The dates that were said of a layer when something was recorded, with what was known on that day: what happened is
-- held against them later. Rows written before this have none.
alter table layer_event
    add column ready10_on date,
    add column ready50_on date,
    add column ready90_on date;
