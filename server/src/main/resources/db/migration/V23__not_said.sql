-- How much of a ball is rooted need not be said: then it is not said, and no nought. What a layer's ring was made with may
-- be another than its recipe says, where it was cut again.
alter table layer modify fill_percent double null,
    add column wound varchar(24) not null default '' after position,
    add column hormone_ppm double not null default 0 after wound,
    add column medium varchar(24) not null default '' after hormone_ppm,
    add column bridging varchar(12) not null default '' after medium;

update layer l
    join recipe_version v on v.recipe_id = l.recipe_id and v.number = l.recipe_number
set l.wound = json_value(v.recipe, '$.wound'),
    l.hormone_ppm = json_value(v.recipe, '$.hormonePpm'),
    l.medium = json_value(v.recipe, '$.medium');
