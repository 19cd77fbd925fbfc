<?php

declare(strict_types=1);

/*
 * Two servers with a schedule each, for one school: what is due at a time is done once.
 *   php deploy/scheduled.php set           changes a draft, to be published by the schedule at the next minute
 *   php deploy/scheduled.php look LOG...   says whether it was published once, and each command of the schedule run once a minute, by the logs of both
 * Ends with 1 where it was not.
 */

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Person;
use App\Models\Revision;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$course = Course::query()->with('liveRevision')->where('key', 'steam-frames')->firstOrFail();
if ($argv[1] === 'set') {
    $document = json_decode((string) $course->liveRevision?->document);
    $document->title = 'Steam-bent frames, on two servers';
    Draft::query()->where('course_id', $course->id)->delete();
    Draft::query()->create([
        'course_id' => $course->id, 'base_revision_id' => $course->live_revision_id, 'document' => CourseDocument::fromJson((string) json_encode($document))->toJson(), 'version' => 1, 'publish_version' => 1,
        'publish_at' => gmdate('Y-m-d H:i:00', time() + 60), 'publish_by' => Person::query()->where('email', 'hege@alder.test')->firstOrFail()->id, 'publish_losses_seen' => true,
    ]);
    exit(0);
}
$minutes = $runs = [];
foreach (array_slice($argv, 2) as $log) {
    preg_match_all('/(\d{4}-\d\d-\d\d \d\d:\d\d):\d\d Running \[(keep:[a-z-]+)\]/', (string) file_get_contents($log), $found, PREG_SET_ORDER);
    foreach ($found as [, $minute, $command]) {
        $minutes[$minute] = true;
        $runs[$command][$minute] = ($runs[$command][$minute] ?? 0) + 1;
    }
}
$twice = array_filter($runs, static fn (array $each): bool => max($each) > 1);
$published = Revision::query()->where('course_id', $course->id)->count() - 1;
$holds = count($minutes) > 1 && count($runs) > 4 && $twice === [] && $published === 1;
printf("  %s  two schedules, one school: %d commands in %d minutes, %d of them twice in one; a draft that was due was published %d times\n", $holds ? 'holds' : 'FAILS', array_sum(array_map(count(...), $runs)), count($minutes), count($twice), $published);
exit($holds ? 0 : 1);
