<?php

declare(strict_types=1);

/*
 * Learners who write on a board, until a file is there, while the database or Redis is ended and started again:
 *   php deploy/writers.php ADDRESS CERTIFICATE WRITERS FILE WHAT MOST
 * Every text whose arrival was acknowledged must be on the board, once, and nobody may be told anything but that it was taken or that the
 * school is busy. Of all answers at most MOST in a hundred may be that; the last ones none. Ends with 1 where it is not so.
 */

require __DIR__.'/Browser.php';

[, $address, $certificate, $writers, $until, $what, $most] = $argv;
$pdo = new PDO(sprintf('pgsql:host=%s;port=%s;dbname=%s', getenv('DB_HOST'), getenv('DB_PORT'), getenv('DB_DATABASE')), (string) getenv('DB_USERNAME'), '');
$crew = 'crew-'.substr(md5($what), 0, 6).'-';
for ($writer = 0; $writer < (int) $writers; $writer++) {
    // A crew who may do what Oda may.
    $pdo->exec("insert into people (name, email, password) select 'Crew {$writer}', '{$crew}{$writer}@alder.test', password from people where email = 'oda@alder.test' on conflict do nothing");
    foreach (['passes' => 'course_id, offer_id, starts_at, ends_at, paced_from, state, source', 'labels' => 'label, source', 'completions' => 'course_id, item_key, completed_at'] as $table => $columns) {
        $pdo->exec("insert into {$table} (person_id, {$columns}) select c.id, {$columns} from {$table} t, people c where t.person_id = (select id from people where email = 'oda@alder.test') and c.email = '{$crew}{$writer}@alder.test' and not exists (select 1 from {$table} x where x.person_id = c.id)");
    }
}
$pdo = null;
$children = [];
for ($writer = 0; $writer < (int) $writers; $writer++) {
    $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, STREAM_IPPROTO_IP);
    if (pcntl_fork() === 0) {
        $browser = Browser::signedIn($address, $certificate, "{$crew}{$writer}@alder.test", 'larch-and-oak');
        $taken = $statuses = [];
        $last = 0;
        for ($round = 0; ! file_exists($until); $round++) {
            $text = "{$what} {$writer} {$round} ".bin2hex(random_bytes(4));
            $last = $browser->post('/courses/steam-frames/b-bench/posts', ['text' => $text, 'once' => substr(md5($text), 0, 16)]);
            $statuses[$last] = ($statuses[$last] ?? 0) + 1;
            if ($last === 302) {
                $taken[] = $text;
            }
            // Nobody may write more than twenty a minute.
            usleep(1_000_000);
        }
        // What was written while the socket is full would wait for whoever reads.
        file_put_contents("{$until}.{$writer}", json_encode([$taken, $statuses, $last], JSON_THROW_ON_ERROR));
        fwrite($pair[1], '.');
        exit(0);
    }
    fclose($pair[1]);
    $children[] = $pair[0];
}
$taken = $statuses = $lasts = [];
foreach ($children as $writer => $child) {
    fread($child, 1);
    [$texts, $some, $last] = json_decode((string) file_get_contents("{$until}.{$writer}"), true, flags: JSON_THROW_ON_ERROR);
    array_push($taken, ...$texts);
    $lasts[] = $last;
    foreach ($some as $status => $count) {
        $statuses[$status] = ($statuses[$status] ?? 0) + $count;
    }
}
$pdo = new PDO(sprintf('pgsql:host=%s;port=%s;dbname=%s', getenv('DB_HOST'), getenv('DB_PORT'), getenv('DB_DATABASE')), (string) getenv('DB_USERNAME'), '');
$there = $pdo->query('select text, count(*) from posts group by text')->fetchAll(PDO::FETCH_KEY_PAIR);
$lost = array_filter($taken, static fn (string $text): bool => ($there[$text] ?? 0) !== 1);
$other = array_diff_key($statuses, [302 => 0, 503 => 0]);
$busy = 100 * ($statuses[503] ?? 0) / max(1, array_sum($statuses));
$holds = $lost === [] && $other === [] && $taken !== [] && array_unique($lasts) === [302] && $busy <= (float) $most;
printf("  %s  %s: %d texts were acknowledged, %d of them lost; answers by status %s\n", $holds ? 'holds' : 'FAILS', $what, count($taken), count($lost), json_encode($statuses));
exit($holds ? 0 : 1);
