-- The rack, the shop's air and its ways. All of it is only ever added to: a board's state, like a design's, is a numbered
-- revision; the newest counts.

create table board (
    shop bigint not null,
    id bigint not null auto_increment unique,
    public_id char(16) character set ascii not null unique,
    primary key (shop, id),
    foreign key (shop) references shop (id)
);

create table board_state (
    shop bigint not null,
    board bigint not null,
    number int not null,
    based_on int null,
    -- the board as it was typed, without its moisture readings
    board_file json not null check (json_valid(board_file)),
    place enum ('RACK', 'CUT', 'GONE') not null default 'RACK',
    -- the body it was cut for
    body bigint null,
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, board, number),
    foreign key (shop, board) references board (shop, id),
    foreign key (shop, body) references body (shop, id)
);

create table moisture (
    shop bigint not null,
    id bigint not null auto_increment unique,
    board bigint not null,
    client_id varchar(80) character set utf8mb4 collate utf8mb4_nopad_bin not null,
    percent decimal(6, 2) not null,
    -- a slip of the pen is withdrawn by a later entry
    withdraws bigint null,
    measured_at timestamp(3) not null default current_timestamp(3),
    made_by varchar(60) not null,
    primary key (shop, id),
    unique (shop, client_id),
    unique (shop, withdraws),
    foreign key (shop, board) references board (shop, id)
);

create table climate (
    shop bigint not null,
    id bigint not null auto_increment unique,
    celsius decimal(5, 2) not null,
    -- relative, per cent
    humidity decimal(5, 2) not null,
    source enum ('HYGROMETER', 'TYPED') not null,
    measured_at timestamp(3) not null default current_timestamp(3),
    made_by varchar(60) not null,
    primary key (shop, id),
    foreign key (shop) references shop (id)
);

create table ways (
    shop bigint not null,
    number int not null,
    based_on int null,
    -- the shop part of a build file: cutting, gluing, timbers
    ways json not null check (json_valid(ways)),
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, number),
    foreign key (shop) references shop (id)
);

-- Which boards a body's blank is cut from, and what is left over; cutting it is an entry of its own.
create table cut_plan (
    shop bigint not null,
    id bigint not null auto_increment unique,
    body bigint not null,
    plan json not null check (json_valid(plan)),
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, id),
    foreign key (shop, body) references body (shop, id)
);

create table cut_done (
    shop bigint not null,
    cut_plan bigint not null,
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, cut_plan),
    foreign key (shop, cut_plan) references cut_plan (shop, id)
);

grant select, insert on board to '${appUser}'@'127.0.0.1';
grant select, insert on board_state to '${appUser}'@'127.0.0.1';
grant select, insert on moisture to '${appUser}'@'127.0.0.1';
grant select, insert on climate to '${appUser}'@'127.0.0.1';
grant select, insert on ways to '${appUser}'@'127.0.0.1';
grant select, insert on cut_plan to '${appUser}'@'127.0.0.1';
grant select, insert on cut_done to '${appUser}'@'127.0.0.1';
