-- What the bench keeps in stock: the mix that each medium stands for, and pods, bags and pots, and
-- hormones; one row. Empty lists stand
-- for what ships with the application.
create table supplies (
    id int primary key,
    mixes longtext not null check (json_valid(mixes)),
    containers longtext not null check (json_valid(containers)),
    hormones longtext not null check (json_valid(hormones)),
    version bigint not null
);
insert into supplies values (1, '{}', '[]', '[]', 0);

-- Prices were by medium; now they are by ingredient. The price of a mix can't be split into those of its parts.
update price_list
set prices = json_remove(
    prices,
    '$.ingredientsALitre.COIR_PERLITE',
    '$.ingredientsALitre.COIR_HUSK',
    '$.ingredientsALitre.COIR_SAND',
    '$.ingredientsALitre.MANURE_EARTH');
update price_list
set prices =
    replace(replace(replace(replace(replace(replace(prices,
        '"MOSS":', '"Moss":'),
        '"COIR":', '"Coir":'),
        '"PEAT":', '"Peat":'),
        '"HUSK_FIBRE":', '"Coconut husk":'),
        '"POTTING_MIX":', '"Potting mix":'),
        '"HEAVY_SOIL":', '"Heavy soil":');

-- The other ways of layering: recipes made before were all for air layers, in what their branches asked for.
update recipe_version set recipe = json_set(recipe, '$.method', 'AIR', '$.containerMl', 0);
alter table layer
    add column method varchar(12) not null default 'AIR' after recipe_number,
    add column hand varchar(60) not null default '' after method,
    add index layer_batch (batch_id),
    add index layer_on_mother (mother_id, phase, method);
alter table layer alter column method drop default, alter column hand drop default;

-- Batches that are to be set on a day: the request as it will be sent, and the batch that it became.
create table planned_batch (
    id bigint auto_increment primary key,
    for_day date not null,
    mother_id bigint not null,
    recipe_id bigint not null,
    request longtext not null check (json_valid(request)),
    made_by varchar(80) not null,
    made_on date not null,
    batch_id char(36) character set ascii,
    dropped boolean not null,
    version bigint not null,
    constraint planned_batch_mother foreign key (mother_id) references mother (id),
    constraint planned_batch_recipe foreign key (recipe_id) references recipe (id),
    index planned_batch_day (for_day)
);

-- Trials: the question, the arms, and which arm each place was dealt; what was done there is its layer's own recipe.
create table trial (
    id bigint auto_increment primary key,
    name varchar(80) not null,
    question varchar(300) not null,
    share double not null,
    other_share double not null,
    significance double not null,
    power double not null,
    per_arm int not null,
    seed bigint not null,
    made_by varchar(80) not null,
    made_on date not null,
    closed_on date,
    version bigint not null,
    constraint trial_name unique (name)
);
create table trial_arm (
    trial_id bigint not null,
    number int not null,
    recipe_id bigint not null,
    recipe_number int not null,
    primary key (trial_id, number),
    constraint trial_arm_trial foreign key (trial_id) references trial (id),
    constraint trial_arm_recipe foreign key (recipe_id, recipe_number) references recipe_version (recipe_id, number)
);
create table trial_slot (
    id bigint auto_increment primary key,
    trial_id bigint not null,
    position int not null,
    mother_id bigint not null,
    limb_id bigint,
    arm int not null,
    layer_id bigint,
    constraint trial_slot_position unique (trial_id, position),
    constraint trial_slot_layer unique (layer_id),
    constraint trial_slot_arm foreign key (trial_id, arm) references trial_arm (trial_id, number),
    constraint trial_slot_mother foreign key (mother_id) references mother (id),
    constraint trial_slot_limb foreign key (limb_id) references limb (id),
    constraint trial_slot_layer_row foreign key (layer_id) references layer (id)
);
