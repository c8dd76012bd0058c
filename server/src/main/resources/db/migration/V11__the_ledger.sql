-- What became of each layer, for what is learned from it: part of the projection, so that a table over all layers is
-- one pass over rows. Thermal days are of its last ring; no upper end where it was never seen full.
alter table layer
    add column wood varchar(12) not null default '' after hand,
    add column position varchar(16) not null default '' after wood,
    add column rooted boolean,
    add column established boolean,
    add column loss_cause varchar(16),
    add column ready_low double,
    add column ready_high double,
    add column full_on date,
    add column severed_on date,
    add column ended_on date,
    add column minutes double,
    add column medium_ml double not null default 0,
    add column film_cm2 double not null default 0,
    -- all that a table of the ledger reads, so that it reads nothing else
    add index layer_outcome (mother_id, recipe_id, recipe_number, phase, rooted, established, loss_cause, set_on,
        full_on, minutes, medium_ml, film_cm2, hand, wood, position);
