<?php

declare(strict_types=1);

/*
 * Learners at once on a served school: first one alone, with hardly a pause so that there are answers enough to count, then all of
 * them, each reading, finishing and going on with a pause between: seconds, as 4-12. Their browsers ask for the first page whole and for
 * others as the pages do, and go where they are sent. Before anything is counted each of them has been on a page of theirs, and the queue
 * has done what the school's first hour brings: it is the same for the one and for all.
 *   php deploy/load.php ADDRESS LEARNERS SECONDS CERTIFICATE PAUSE      (DB_DATABASE is the school's; they are made in it, with passes of their own)
 * Prints within which time 95 of 100 answers came, alone and at once, and what went wrong; ends with 1 where anything did, or where at once
 * takes more than five times as long as alone.
 */

require __DIR__.'/../vendor/autoload.php';

[, $address, $learners, $seconds, $certificate, $pause] = $argv;
$pauses = array_map(static fn (string $one): int => (int) (1000 * (float) $one), explode('-', $pause));
[$learners, $seconds] = [(int) $learners, (int) $seconds];
$pdo = new PDO('sqlite:'.getenv('DB_DATABASE'));
$pdo->exec('PRAGMA busy_timeout = 10000');
App\Database\LedgerWords::teachAlone($pdo);
$password = $pdo->quote(password_hash('larch', PASSWORD_BCRYPT, ['cost' => 4]));
$pdo->exec("with recursive n(i) as (select 1 union all select i + 1 from n where i < {$learners}) insert or ignore into people (name, email, password) select 'Crew '||i, 'load'||i||'@alder.test', {$password} from n");
[$course, $item] = $pdo->query("select c.key, 'l-planes' from courses c where c.key = 'clinker' union all select c.key, 'm0-l1' from courses c where c.key = 'list-3'")->fetch(PDO::FETCH_NUM);
$pdo->exec("insert into passes (person_id, course_id, offer_id, starts_at, state, source) select p.id, o.course_id, min(o.id), datetime('now', '-20 days'), 'active', 'load' from people p, offers o where p.email like 'load%' and o.course_id = (select id from courses where key = '{$course}') and not exists (select 1 from passes x where x.person_id = p.id) group by p.id, o.course_id");

/** A learner's browser. */
final class Learner
{
    public readonly CurlHandle $curl;

    private int $step = 0;

    /** Of what the pages are made of; empty: the first has not been read. */
    private string $version = '';

    /** Where they are sent, and go at once. */
    public ?string $sentTo = null;

    public float $at;

    public function __construct(private readonly string $address, private readonly string $course, private readonly string $item, string $certificate, private readonly string $email)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_CAINFO => $certificate, CURLOPT_TIMEOUT => 60, CURLOPT_ENCODING => '', CURLOPT_HTTP_VERSION => CURL_HTTP_VERSION_1_1]);
        $this->at = microtime(true);
    }

    public function signIn(): void
    {
        $this->set('/sign-in', null);
        curl_exec($this->curl);
        $this->set('/sign-in', ['email' => $this->email, 'password' => 'larch']);
        curl_exec($this->curl);
        if (curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE) !== 302) {
            throw new RuntimeException("{$this->email} is not let in.");
        }
    }

    /** @param  ?array<string, string>  $fields  null: it is only asked for */
    private function set(string $path, ?array $fields): void
    {
        $token = '';
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", (string) $cookie);
            $token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $token;
        }
        curl_setopt_array($this->curl, [CURLOPT_URL => $this->address.$path, CURLOPT_HTTPHEADER => ["X-XSRF-TOKEN: {$token}", ...$this->version === '' ? [] : ['X-Inertia: true', "X-Inertia-Version: {$this->version}"]]] + ($fields === null ? [CURLOPT_HTTPGET => true] : [CURLOPT_POSTFIELDS => http_build_query($fields)]));
    }

    /** Reads what has come. */
    public function read(): void
    {
        $to = (string) curl_getinfo($this->curl, CURLINFO_REDIRECT_URL);
        $this->sentTo = $to === '' ? null : (string) parse_url($to, PHP_URL_PATH);
        if ($this->version === '' && preg_match('/"version":"([^"]+)"/', html_entity_decode((string) curl_multi_getcontent($this->curl)), $found) === 1) {
            $this->version = $found[1];
        }
    }

    public function next(): void
    {
        if ($this->sentTo !== null) {
            $this->set($this->sentTo, null);

            return;
        }
        match ($this->step++ % 4) {
            0 => $this->set("/courses/{$this->course}", null),
            1 => $this->set("/courses/{$this->course}/{$this->item}", null),
            2 => $this->set("/courses/{$this->course}/{$this->item}/finished", []),
            default => $this->set('/courses', null),
        };
    }
}

/**
 * @param  list<Learner>  $learners
 * @param  list<int>  $pause  least and most between what one of them does, milliseconds
 * @return array{float, int, array<int, int>} seconds within which 95 of 100 were answered, how many answers, and those that are wrong by status
 */
$learn = static function (array $learners, int $seconds, array $pause): array {
    $multi = curl_multi_init();
    $end = microtime(true) + $seconds;
    $under = $times = $wrong = [];
    foreach ($learners as $learner) {
        $learner->at = microtime(true) + random_int(0, end($pause)) / 1000;
    }
    do {
        $now = microtime(true);
        foreach ($learners as $number => $learner) {
            if (! isset($under[$number]) && $learner->at <= $now && $now < $end) {
                $learner->next();
                curl_multi_add_handle($multi, $learner->curl);
                $under[$number] = $now;
            }
        }
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.005);
        while ($done = curl_multi_info_read($multi)) {
            foreach ($learners as $number => $learner) {
                if ($learner->curl === $done['handle']) {
                    $times[] = (float) curl_getinfo($learner->curl, CURLINFO_TOTAL_TIME);
                    $status = (int) curl_getinfo($learner->curl, CURLINFO_RESPONSE_CODE);
                    if ($status === 0 || $status >= 400) {
                        $wrong[$status] = ($wrong[$status] ?? 0) + 1;
                    }
                    $learner->read();
                    curl_multi_remove_handle($multi, $learner->curl);
                    unset($under[$number]);
                    $learner->at = microtime(true) + ($learner->sentTo === null ? random_int(...$pause) / 1000 : 0);
                }
            }
        }
    } while (microtime(true) < $end || $under !== []);
    sort($times);

    return [$times[(int) (count($times) * 0.95)] ?? 0.0, count($times), $wrong];
};

$all = [];
for ($n = 1; $n <= $learners; $n++) {
    $all[] = $learner = new Learner($address, $course, $item, $certificate, "load{$n}@alder.test");
    $learner->signIn();
}
// The schedule begins at each full minute.
for ($waited = 0; $waited < 65 || ($waited < 600 && (int) $pdo->query('select count(*) from jobs')->fetchColumn() > 0); $waited++) {
    sleep(1);
}
printf("the queue was done after %d s\n", $waited);
$learn($all, max(8, intdiv(count($all), 10)), $pauses);
[$alone, $count, $wrongAlone] = $learn([$all[0]], max(20, intdiv($seconds, 2)), [50, 150]);
printf("one learner: %d answers, 95 of 100 within %.0f ms\n", $count, $alone * 1000);
[$together, $count, $wrong] = $learn($all, $seconds, $pauses);
printf("%d learners at once for %d s, a pause of {$pause} s each: %d answers, %.0f a second, 95 of 100 within %.0f ms (%.1f times; at most 5), wrong: %s\n", $learners, $seconds, $count, $count / $seconds, $together * 1000, $together / max(0.001, $alone), json_encode((object) $wrong));
exit($wrong === [] && $wrongAlone === [] && $together <= 5 * $alone ? 0 : 1);
