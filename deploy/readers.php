<?php

declare(strict_types=1);

/*
 * Learners who read and finish one page after another, without a pause, until a file is there:
 *   php deploy/readers.php ADDRESS CERTIFICATE READERS FILE
 * Prints how many were answered and what went wrong; ends with 1 where anything did.
 */

require __DIR__.'/Browser.php';

[, $address, $certificate, $readers, $until] = $argv;
$pipes = [];
for ($reader = 0; $reader < (int) $readers; $reader++) {
    $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, STREAM_IPPROTO_IP);
    if (pcntl_fork() === 0) {
        $browser = Browser::signedIn($address, $certificate, 'eira@alder.test', 'larch-and-oak');
        $counts = [];
        for ($step = 0; ! file_exists($until); $step++) {
            $status = match ($step % 3) {
                0 => $browser->get('/courses/clinker'),
                1 => $browser->get('/courses/clinker/l-welcome'),
                default => $browser->post('/courses/clinker/l-planes/finished', []),
            };
            $counts[$status] = ($counts[$status] ?? 0) + 1;
        }
        fwrite($pair[1], json_encode($counts, JSON_THROW_ON_ERROR));
        exit(0);
    }
    fclose($pair[1]);
    $pipes[] = $pair[0];
}
$counts = [];
foreach ($pipes as $pipe) {
    foreach ((array) json_decode((string) stream_get_contents($pipe), true) as $status => $count) {
        $counts[$status] = ($counts[$status] ?? 0) + (int) $count;
    }
}
$wrong = array_filter($counts, static fn (int $status): bool => $status === 0 || $status >= 400, ARRAY_FILTER_USE_KEY);
$answered = array_sum($counts);
printf("  %s  each server started again three times: %d answers, %s\n", $wrong === [] && $answered > 0 ? 'holds' : 'FAILS', $answered, $wrong === [] ? 'none failed' : 'failed: '.json_encode($wrong));
exit($wrong === [] && $answered > 0 ? 0 : 1);
