-- Where a severed plant stands, and the day on which a layer is to be severed.
alter table layer
    add column stands_at bigint,
    add column cut_on date,
    add constraint layer_stands_at foreign key (stands_at) references place (id),
    drop index layer_walk,
    add index layer_walk (phase, job_by, code, mother_id, method, job, job_from, also_do, stands_at),
    add index layer_cut (phase, cut_on),
    add index layer_ripe (phase, stage, ready50_on);

-- The house's pots, and what they are filled up with; empty stands for what ships with the application.
alter table supplies
    add column pots longtext not null default '[]' check (json_valid(pots)),
    add column potting_mix longtext not null default '{}' check (json_valid(potting_mix));

-- A mother that was raised from a layer of another: its pedigree.
create table mother_origin (
    mother_id bigint not null primary key,
    layer_id bigint not null,
    constraint mother_origin_mother foreign key (mother_id) references mother (id),
    constraint mother_origin_layer foreign key (layer_id) references layer (id),
    constraint mother_origin_once unique (layer_id)
);
