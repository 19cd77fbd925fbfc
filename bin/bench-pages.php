<?php

declare(strict_types=1);

/*
 * The part of bin/bench that measures pages: a school of its own on a server of its own, asked as a browser asks. An
 * empty page is the same workspace of a course without rows; everything is printed as times of that.
 */

use App\Database\LedgerWords;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

require_once __DIR__.'/../vendor/autoload.php';
require_once __DIR__.'/bench-core/many-items.php';

/** A school's whole list: this many courses, of so many items each. */
const LIST_COURSES = 200;
const LIST_ITEMS = 160;

/** How many people are decided on by one call of the interface, one item each. */
const API_PEOPLE = 10_000;

/** Bytes that a process may take while it answers that. */
const API_MEMORY = '48M';

/** How many items the course has that is measured as its learners meet it. */
const LEARNER_ROWS = 400;

/** Two courses of many rows, for administrators and for learners, and for each one with as good as none. */
function pagesPlan(int $rows): string
{
    [$modules, $weekly] = manyItems($rows);
    [$long, $longWeekly] = manyItems(LEARNER_ROWS);
    $offers = array_map(static fn (string $course): array => ['key' => "of-{$course}", 'course' => $course, 'title' => 'A pass', 'lasts' => ['days' => 365]], ['long', 'short']);
    foreach (['silver' => ['silver', 'weekly'], 'gold' => ['gold', 'weekly'], 'trial' => ['gold', null]] as $key => [$tier, $plan]) {
        $offers[] = ['key' => $key, 'course' => 'c', 'title' => ucfirst($key), 'tier' => $tier, 'plan' => $plan, 'lasts' => ['days' => $plan === null ? 10 : 365]];
    }

    return (string) json_encode([
        'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true], 'offers' => $offers,
        'courses' => [
            ['key' => 'c', 'title' => 'A course', 'state' => 'live', 'entry' => 'offer', 'tiers' => ['silver', 'gold'], 'main_plan' => 'weekly', 'plans' => ['weekly' => $weekly], 'guest_door' => ['open' => true], 'observer_door' => ['open' => true, 'default' => true], 'items' => $modules],
            ['key' => 'long', 'title' => 'A long course', 'state' => 'live', 'entry' => 'offer', 'tiers' => ['gold'], 'main_plan' => 'weekly', 'plans' => ['weekly' => $longWeekly], 'items' => $long],
            ['key' => 'short', 'title' => 'A short course', 'state' => 'live', 'entry' => 'offer', 'items' => [['key' => 'l', 'kind' => 'lesson', 'title' => 'A lesson']]],
            ['key' => 'empty', 'title' => 'An empty course', 'state' => 'live', 'entry' => 'offer', 'items' => []],
        ],
    ]);
}

function benchPages(int $rows): void
{
    $root = dirname(__DIR__);
    $folder = sys_get_temp_dir().'/silent-keep-bench-'.bin2hex(random_bytes(5));
    mkdir($folder);
    mkdir("{$folder}/sessions");
    touch("{$folder}/school.sqlite");
    file_put_contents("{$folder}/plan.json", pagesPlan($rows));
    $environment = ['APP_ENV' => 'production', 'APP_KEY' => 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=', 'DB_DATABASE' => "{$folder}/school.sqlite", 'FILES_ROOT' => "{$folder}/files", 'CACHE_ROOT' => "{$folder}/cache", 'SESSION_ROOT' => "{$folder}/sessions", 'APP_URL' => '', 'SESSION_DRIVER' => 'file', 'CACHE_STORE' => 'file', 'BCRYPT_ROUNDS' => '4', 'LOG_CHANNEL' => 'single'];
    $php = (string) (new PhpExecutableFinder)->find();
    $artisan = static fn (string ...$words): string => (new Process([$php, 'artisan', ...$words], $root, $environment, timeout: 120))->mustRun()->getOutput();
    $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No free port.');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);
    $environment['APP_URL'] = "http://127.0.0.1:{$port}";
    $server = null;
    try {
        $artisan('migrate', '--force');
        $password = trim((string) strrchr(trim($artisan('keep:begin', '--name=A school', '--zone=Europe/Oslo', '--email=admin@school.test')), ' '));
        $artisan('keep:import-plan', "{$folder}/plan.json");
        file_put_contents("{$folder}/people.csv", "name,email,offer\nA learner,learner@school.test,of-long\nA learner,learner@school.test,of-short\n");
        $artisan('keep:import-people', "{$folder}/people.csv");
        (new PDO("sqlite:{$folder}/school.sqlite"))->prepare('update people set password = ? where email = ?')->execute([password_hash('learner', PASSWORD_BCRYPT, ['cost' => 4]), 'learner@school.test']);
        $server = (new Process([$php, '-S', "127.0.0.1:{$port}", "{$root}/server.php"], "{$root}/public", $environment, timeout: null))->disableOutput();
        $server->start();
        for ($try = 0; $try < 100 && @fsockopen('127.0.0.1', $port) === false; $try++) {
            usleep(50_000);
        }
        measurePages(signedIn("http://127.0.0.1:{$port}", 'admin@school.test', $password, "{$folder}/admin"), $rows);
        measureLearnerPages(signedIn("http://127.0.0.1:{$port}", 'learner@school.test', 'learner', "{$folder}/learner"));
        measureInterface($artisan, "{$folder}/school.sqlite", "http://127.0.0.1:{$port}", $php, $root, $environment);
        measureLists($artisan, $folder, "http://127.0.0.1:{$port}", $password);
    } finally {
        $server?->stop(1);
        (new Process(['rm', '-rf', $folder]))->run();
    }
}

/** @return Closure(string, array<int, mixed>=): string asks for a path, and gives what it holds */
function asking(string $address, string $cookies, ?CurlHandle $curl = null): Closure
{
    $curl ??= curl_init();

    return static function (string $path, array $more = []) use ($curl, $address, $cookies): string {
        curl_reset($curl);
        curl_setopt_array($curl, [CURLOPT_URL => $address.$path, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $cookies, CURLOPT_COOKIEJAR => $cookies] + $more);
        $body = curl_exec($curl);
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        if (! is_string($body) || $status >= 400) {
            throw new RuntimeException("{$path} answered {$status}.");
        }

        return $body;
    };
}

/**
 * Signs in as a browser does.
 *
 * @return Closure(string): string asks for a path, and gives what it holds
 */
function signedIn(string $address, string $email, string $password, string $cookies): Closure
{
    $curl = curl_init();
    $ask = asking($address, $cookies, $curl);
    $ask('/sign-in');
    $token = '';
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) as $cookie) {
        $parts = explode("\t", (string) $cookie);
        $token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $token;
    }
    $ask('/sign-in', [CURLOPT_POSTFIELDS => http_build_query(['email' => $email, 'password' => $password]), CURLOPT_HTTPHEADER => ['X-XSRF-TOKEN: '.$token]]);

    return static fn (string $path): string => $ask($path);
}

/** @param  Closure(string): string  $ask */
function measureLearnerPages(Closure $ask): void
{
    $rows = LEARNER_ROWS;
    printPages('Pages of a learner', $ask, [
        'an empty page: a course of one lesson' => ['/courses/short', ''],
        "a course of {$rows} items" => ['/courses/long', 'at most 2'],
        "a lesson of a course of {$rows} items" => ['/courses/long/m0-l1', 'at most 2'],
    ]);
}

/**
 * What systems of others ask, times what a token that is only looked at costs.
 *
 * @param  Closure(string...): string  $artisan
 * @param  array<string, string>  $environment
 */
function measureInterface(Closure $artisan, string $database, string $address, string $php, string $root, array $environment): void
{
    $token = trim($artisan('keep:token', 'Bench', '--may=decide'));
    $pdo = new PDO("sqlite:{$database}");
    LedgerWords::teachAlone($pdo);
    $pdo->exec('with recursive n(i) as (select 1 union all select i + 1 from n where i < '.API_PEOPLE.") insert into people (name, email, created_at, updated_at) select 'Person ' || i, 'p' || i || '@many.test', datetime('now'), datetime('now') from n");
    $pdo->exec("insert into passes (person_id, course_id, offer_id, starts_at, ends_at, state, source, created_at, updated_at) select p.id, o.course_id, o.id, datetime('now', '-30 days'), datetime('now', '+300 days'), 'active', 'bench', datetime('now'), datetime('now') from people p, offers o where o.key = 'of-long' and p.email like '%@many.test'");
    $pdo->exec("insert into completions (person_id, course_id, item_key, completed_at) select p.person_id, p.course_id, 'm0-l' || l.i, datetime('now', '-9 days') from passes p, (select 1 as i union select 2 union select 3 union select 4) l where p.source = 'bench'");
    $people = array_map(intval(...), $pdo->query("select id from people where email like '%@many.test'")->fetchAll(PDO::FETCH_COLUMN));
    $body = json_encode(['course' => 'long', 'people' => $people, 'items' => ['m9-l5']], JSON_THROW_ON_ERROR);
    // Within so much memory, or not at all.
    $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No free port.');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);
    $small = (new Process([$php, '-d', 'memory_limit='.API_MEMORY, '-S', "127.0.0.1:{$port}", "{$root}/server.php"], "{$root}/public", $environment, timeout: null))->disableOutput();
    $small->start();
    for ($try = 0; $try < 100 && @fsockopen('127.0.0.1', $port) === false; $try++) {
        usleep(50_000);
    }
    $head = ["Authorization: Bearer {$token}", 'Content-Type: application/json'];
    $ask = asking($address, '/dev/null');
    $many = asking("http://127.0.0.1:{$port}", '/dev/null');
    try {
        printPages('The interface', static function (string $path) use ($ask, $many, $head, $body): string {
            $told = $path === 'many' ? $many('/api/v1/decisions', [CURLOPT_HTTPHEADER => $head, CURLOPT_POSTFIELDS => $body]) : $ask($path, [CURLOPT_HTTPHEADER => $head]);
            if ($path === 'many' && substr_count($told, '"person"') !== API_PEOPLE) {
                throw new RuntimeException('Not all were decided.');
            }

            return $told;
        }, [
            'an empty route: what the token may' => ['/api/v1/token', ''],
            'one decision, of '.LEARNER_ROWS.' items one' => ['/api/v1/decisions?course=long&item=m9-l5&email=p7@many.test', 'at most 1.5'],
            'all '.LEARNER_ROWS.' decisions of one' => ['/api/v1/decisions?course=long&email=p7@many.test', 'no promise'],
            number_format(API_PEOPLE).' decisions in one call, within '.API_MEMORY => ['many', 'no promise'],
        ]);
    } finally {
        $small->stop(1);
    }
}

/**
 * The lists of a school with many courses: to a visitor, to a learner with one pass, to one with a pass of each, and to staff.
 *
 * @param  Closure(string...): string  $artisan
 */
function measureLists(Closure $artisan, string $folder, string $address, string $password): void
{
    file_put_contents("{$folder}/list.json", listPlan(LIST_COURSES, LIST_ITEMS));
    $artisan('keep:import-plan', "{$folder}/list.json");
    $rows = "name,email,offer\n";
    for ($n = 0; $n < LIST_COURSES; $n++) {
        $rows .= "All courses,all@school.test,of-list-{$n}\n";
    }
    file_put_contents("{$folder}/list.csv", $rows);
    $artisan('keep:import-people', "{$folder}/list.csv");
    (new PDO("sqlite:{$folder}/school.sqlite"))->prepare('update people set password = ? where email = ?')->execute([password_hash('learner', PASSWORD_BCRYPT, ['cost' => 4]), 'all@school.test']);
    $asks = [
        'visitor' => asking($address, "{$folder}/visitor"),
        'learner' => signedIn($address, 'learner@school.test', 'learner', "{$folder}/learner"),
        'all' => signedIn($address, 'all@school.test', 'learner', "{$folder}/all"),
        'staff' => signedIn($address, 'admin@school.test', $password, "{$folder}/admin"),
    ];
    printPages(sprintf('Lists of %d courses of %d items', LIST_COURSES, LIST_ITEMS), static function (string $path) use ($asks): string {
        [$who, $path] = explode(' ', $path);

        return $asks[$who]($path);
    }, [
        'an empty page: signing in' => ['visitor /sign-in', ''],
        'the front, to a visitor' => ['visitor /', 'at most 2'],
        'own courses, of a learner with a pass of one' => ['learner /courses', 'at most 2'],
        'own courses, of a learner with a pass of each' => ['all /courses', 'no promise'],
        'courses, to an administrator' => ['staff /keep/courses', 'no promise'],
    ]);
}

/** @param  Closure(string): string  $ask */
function measurePages(Closure $ask, int $rows): void
{
    $eight = http_build_query(['v' => ['visitor', 'guest', 'observer:holder:30:silver', 'holder:3:silver', 'holder:40:silver', 'diligent:40:gold', 'holder:9:trial', 'holder:20:gold']]);
    printPages('Pages', $ask, [
        'an empty page: a course without rows' => ['/keep/courses/empty', ''],
        "Sightlines, {$rows} rows x 8 vantages" => ["/keep/courses/c?lens=sightlines&{$eight}", 'at most 3'],
        "Sightlines, {$rows} rows x 1 vantage" => ['/keep/courses/c?lens=sightlines&v[]=visitor', ''],
        "Rules, {$rows} rows" => ['/keep/courses/c', ''],
        'the same 8 over all time, asked for once' => ["/keep/courses/c/sightlines?{$eight}", 'no promise: beside the page'],
        'one step of the time rail' => [null, 'at most one small request: it asks for nothing'],
        'why a cell is as it is' => ['/keep/courses/c/why?item=m9-l5&v[]=holder:40:silver', 'no promise'],
    ]);
}

/**
 * @param  Closure(string): string  $ask
 * @param  array<string, array{?string, string}>  $pages  by what they are: the path, and what is promised; the first is the empty one
 */
function printPages(string $title, Closure $ask, array $pages): void
{
    // In turn, so that a machine that is slow for a while is so for all.
    $seconds = [];
    for ($try = 0; $try < 15; $try++) {
        foreach ($pages as $what => [$path]) {
            if ($path !== null) {
                $seconds[$what][] = timed(static fn () => $ask(str_replace(['[', ']'], ['%5B', '%5D'], $path)));
            }
        }
    }
    echo "\n{$title} on PHP’s own server: medians of 15, times an empty page\n";
    $empty = null;
    foreach ($pages as $what => [$path, $aim]) {
        if ($path === null) {
            printf("%-58s %9s    %8s %8.1f x  %s\n", $what, '-', '', 0, $aim);

            continue;
        }
        sort($seconds[$what]);
        $median = $seconds[$what][7];
        $empty ??= $median;
        printf("%-58s %9.1f ms %8s %8.1f x  %s\n", $what, $median * 1000, '', $median / $empty, $aim);
    }
}
