-- The passwords that a maker took after the first one: the last counts.
create table maker_password (
    shop bigint not null,
    id bigint not null auto_increment unique,
    maker bigint not null,
    password varchar(200) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, id),
    foreign key (shop, maker) references maker (shop, id)
);

-- A maker who was taken out signs in no more; what they entered stays under their name, which nobody else takes.
create table maker_gone (
    shop bigint not null,
    maker bigint not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, maker),
    foreign key (shop, maker) references maker (shop, id)
);

-- Codes that let somebody into a shop: each once, for a week; only its hash is kept.
create table invitation (
    shop bigint not null,
    id bigint not null auto_increment unique,
    code char(64) character set ascii collate ascii_bin not null unique,
    made_by bigint not null,
    made_at timestamp(3) not null default current_timestamp(3),
    -- milliseconds since 1970, as the app's clock tells them
    ends_at bigint not null,
    primary key (shop, id),
    foreign key (shop, made_by) references maker (shop, id)
);

-- Who came in by which: its key lets no second one in.
create table invitation_used (
    shop bigint not null,
    invitation bigint not null,
    maker bigint not null,
    primary key (shop, invitation),
    foreign key (shop, invitation) references invitation (shop, id),
    foreign key (shop, maker) references maker (shop, id)
);

grant select, insert on maker_password to '${appUser}'@'127.0.0.1';
grant select, insert on maker_gone to '${appUser}'@'127.0.0.1';
grant select, insert on invitation to '${appUser}'@'127.0.0.1';
grant select, insert on invitation_used to '${appUser}'@'127.0.0.1';
