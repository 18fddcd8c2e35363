-- The calendar of a shop: who works when, as numbered states that are only ever added; the newest counts.
create table shop_week (
    shop bigint not null,
    number int not null,
    based_on int null,
    -- hands, hours, days off, things there are several of
    week json not null check (json_valid(week)),
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, number),
    foreign key (shop) references shop (id)
);

-- What was said of a body's dates by hand. Each row takes the place of one before it, or of none (0): two makers who rest on the same one
-- cannot both be kept. The last of a body and step counts.
create table calendar_mark (
    shop bigint not null,
    id bigint not null auto_increment unique,
    body bigint not null,
    -- the day by which the body is due; a block of it; an answer that a step waits for
    about enum ('DUE', 'BLOCK', 'ANSWER') not null,
    -- the key of the block's first step, or of the step that somebody is asked about; empty for a whole body
    step varchar(160) character set utf8mb4 collate utf8mb4_nopad_bin not null,
    -- ON a day; PUT somewhere; OUT of the calendar; FREE: as if nothing had been said
    kind enum ('ON', 'PUT', 'OUT', 'FREE') not null,
    -- of a day
    on_day date null,
    -- of a place: the hand's key, minutes since 1970
    hand varchar(80) null,
    at_minute bigint null,
    based_on bigint not null,
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, id),
    unique (shop, body, about, step, based_on),
    foreign key (shop, body) references body (shop, id)
);

grant select, insert on shop_week to '${appUser}'@'127.0.0.1';
grant select, insert on calendar_mark to '${appUser}'@'127.0.0.1';
