-- What the nursery pays, in its own money; one row.
create table price_list (
    id int primary key,
    currency varchar(8) not null,
    prices longtext not null check (json_valid(prices)),
    version bigint not null
);
insert into price_list values (
    1,
    '',
    '{"workAnHour":0,"ingredientsALitre":{},"filmAM2":0,"foilAM2":0,"tie":0,"container":0,"label":0,"hormoneAMl":0}',
    0
);

-- Plants that are wanted, as they were reckoned when they were; what has become of it since is counted, not kept.
create table target (
    id bigint auto_increment primary key,
    name varchar(80) not null,
    species_code varchar(12) not null,
    variety varchar(60) not null,
    place_id bigint not null,
    recipe_id bigint not null,
    wood varchar(12) not null,
    diameter_mm double not null,
    wanted int not null,
    wanted_by date not null,
    confidence double not null,
    layers int not null,
    counts_from date not null,
    made_by varchar(40) not null,
    made_on date not null,
    closed_on date,
    version bigint not null,
    constraint target_species foreign key (species_code) references species (code),
    constraint target_place foreign key (place_id) references place (id),
    constraint target_recipe foreign key (recipe_id) references recipe (id),
    index target_open (closed_on, wanted_by)
);
