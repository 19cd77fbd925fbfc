<?php

declare(strict_types=1);

// What everything else makes of an opening that stands in the files of a folder alone: php with-another-opening.php FOLDER. See AddingAnOpeningTest.

use App\Http\Requests\EditRulesRequest;
use App\Models\Document\DocumentTime;
use App\Words\RuleWords;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Validator;
use Opis\JsonSchema\Validator as SchemaValidator;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

$folder = $argv[1];
require __DIR__.'/../vendor/autoload.php';
spl_autoload_register(static function (string $class) use ($folder): void {
    $file = $folder.'/core/'.str_replace('\\', '/', substr($class, strlen('SilentKeep\\Core\\'))).'.php';
    if (str_starts_with($class, 'SilentKeep\\Core\\') && is_file($file)) {
        require $file;
    }
}, prepend: true);
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
Lang::addLines(Arr::dot(['rules' => require "{$folder}/lang/en/rules.php"]), 'en');

$document = json_encode([
    'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true],
    'offers' => [['key' => 'o', 'course' => 'c', 'plan' => 'p']],
    'courses' => [[
        'key' => 'c', 'state' => 'live', 'entry' => 'offer', 'main_plan' => 'p', 'guest_door' => ['open' => true, 'default' => true],
        'plans' => ['p' => ['l' => ['opens' => ['rule' => 'at_noon']]]], 'items' => [['key' => 'l', 'kind' => 'lesson']],
    ]],
], JSON_THROW_ON_ERROR);
$plan = PlanReader::fromJson($document);
$decider = new Decider($plan, $plan->courses['c']);
$compiled = CompiledDecider::of($decider->prepared);
$opens = static fn (Closure $decide): array => array_map(static function (string $joined) use ($decide): ?string {
    $from = Instant::parse($joined);
    $next = $decide((new Viewer)->signedIn()->withPass(new Pass('o', $from, Instant::NEVER)), $from)[0]->next;

    return $next === null ? null : Instant::format($next->at);
}, ['2026-03-01T06:00:00Z', '2026-03-02T08:00:00Z']);
$form = ['version' => 0, 'set' => 'opens', 'items' => ['l'], 'plan' => 'p', 'rule' => 'at_noon'];
echo json_encode([
    'read' => $plan->courses['c']->mainPlan?->opening(0)::class === 'SilentKeep\\Core\\Rules\\AtNoon',
    'schema' => (new SchemaValidator)->validate(json_decode($document), (string) file_get_contents("{$folder}/docs/formats/plan.schema.json"))->isValid(),
    'definition' => $opens($decider->decide(...)),
    'compiled' => $opens($compiled->decide(...)),
    'words' => RuleWords::opening(new DocumentTime((object) ['rule' => 'at_noon'])),
    'may be set' => Validator::make($form, EditRulesRequest::create('/', 'POST', $form)->rules())->passes(),
    // Whoever has not joined has no day of joining.
    'guests' => $decider->decide((new Viewer)->asGuest(true), Instant::parse('2026-03-02T08:00:00Z'))[0]->state->value,
], JSON_THROW_ON_ERROR);
