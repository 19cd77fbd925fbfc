<?php

declare(strict_types=1);

/*
 * A pass is taken back by way of one server, and at the next request it must be shut on both; then it is given back. Again and again,
 * while others read.
 *   php deploy/revocations.php ADDRESS CERTIFICATE TIMES READERS
 * Ends with 1 where it was once not shut, or not open before.
 */

require __DIR__.'/Browser.php';

[, $address, $certificate, $times, $readers] = $argv;
$server = new PDO(sprintf('pgsql:host=%s;port=%s;dbname=%s', getenv('DB_HOST'), getenv('DB_PORT'), getenv('DB_DATABASE')), (string) getenv('DB_USERNAME'), '');
[$person, $pass] = $server->query("select p.person_id, p.id from passes p join people e on e.id = p.person_id join courses c on c.id = p.course_id where e.email = 'eira@alder.test' and c.key = 'clinker' and p.state = 'active' order by p.id")->fetch(PDO::FETCH_NUM);

$reading = [];
for ($reader = 0; $reader < (int) $readers; $reader++) {
    $child = pcntl_fork();
    if ($child === 0) {
        $browser = Browser::signedIn($address, $certificate, 'mathea@alder.test', 'larch-and-oak');
        while (posix_getppid() !== 1) {
            $browser->get('/courses');
        }
        exit(0);
    }
    $reading[] = $child;
}
$admin = Browser::signedIn($address, $certificate, 'hege@alder.test', 'larch-and-oak');
$learner = Browser::signedIn($address, $certificate, 'eira@alder.test', 'larch-and-oak');
$act = static fn (string $do, string $by): int => $admin->post('/keep/people/acts', ['do' => $do, 'people' => [$person], 'pass' => $pass, 'once' => bin2hex(random_bytes(8))], $by);
$wrong = [];
for ($time = 0; $time < (int) $times; $time++) {
    [$by, $other] = $time % 2 === 0 ? ['a', 'b'] : ['b', 'a'];
    // Whatever that server keeps of this learner, it keeps from here on.
    if ($learner->get('/courses/clinker/l-planes', $other) !== 200) {
        $wrong['not open before'] = ($wrong['not open before'] ?? 0) + 1;
    }
    if ($act('withdraw', $by) !== 302) {
        $wrong['not taken back'] = ($wrong['not taken back'] ?? 0) + 1;
    }
    foreach ([$other, $by] as $asked) {
        $status = $learner->get('/courses/clinker/l-planes', $asked);
        if ($status === 200) {
            $wrong["open on {$asked}"] = ($wrong["open on {$asked}"] ?? 0) + 1;
        }
    }
    $act('give-back', $other);
    if ($time % 100 === 99) {
        fwrite(STDERR, sprintf("  %d of %d taken back and given back\n", $time + 1, $times));
    }
}
foreach ($reading as $child) {
    posix_kill($child, SIGKILL);
    pcntl_waitpid($child, $status);
}
printf("  %s  a pass that is taken back is shut at the next request on both servers, under load: %s\n", $wrong === [] ? 'holds' : 'FAILS', $wrong === [] ? "{$times} of {$times} times" : json_encode($wrong));
exit($wrong === [] ? 0 : 1);
