<?php

declare(strict_types=1);

namespace Tests\House;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * A kind of rule stands in one place. An opening is added here, "at noon on the day of joining", in a copy of the files that it
 * takes; everything else stays as it is, reads it, decides by it both ways, says it and lets it be set.
 */
final class AddingAnOpeningTest extends TestCase
{
    /** What is changed in three files; the fourth is the new class, and the fifth the clause of the contract. */
    private const CHANGES = [
        'core/Rules/OpeningKind.php' => [
            "    case AfterStart = 'after_start';" => "    case AfterStart = 'after_start';\n    case AtNoon = 'at_noon';",
            '            self::Held => new Held,' => "            self::Held => new Held,\n            self::AtNoon => new AtNoon,",
        ],
        'lang/en/rules.php' => [
            "        'held' =>" => "        'at_noon' => ['called' => 'At noon', 'words' => 'at noon on the day of joining'],\n        'held' =>",
        ],
        'docs/formats/plan.schema.json' => [
            '"const": "held"' => '"enum": ["held", "at_noon"]',
        ],
    ];

    private const NEW = <<<'PHP'
        <?php

        declare(strict_types=1);

        namespace SilentKeep\Core\Rules;

        use SilentKeep\Core\Time\SchoolZone;

        final readonly class AtNoon implements Opening
        {
            public function instant(int $start, ?int $previous, SchoolZone $zone): int
            {
                return $zone->plusDays($start, 0, 12 * 3600);
            }

            public function dated(): null
            {
                return null;
            }

            public function isRelative(): bool
            {
                return true;
            }

            public function countsFromPrevious(): bool
            {
                return false;
            }

            public function delay(): null
            {
                return null;
            }
        }
        PHP;

    private string $copy;

    protected function setUp(): void
    {
        $this->copy = sys_get_temp_dir().'/silent-keep-opening-'.bin2hex(random_bytes(6));
        $files = new Filesystem;
        $root = dirname(__DIR__, 2);
        foreach (self::CHANGES as $file => $changes) {
            $text = (string) file_get_contents("{$root}/{$file}");
            foreach ($changes as $here => $there) {
                self::assertStringContainsString($here, $text, $file);
                $text = str_replace($here, $there, $text);
            }
            $files->ensureDirectoryExists(dirname("{$this->copy}/{$file}"));
            $files->put("{$this->copy}/{$file}", $text);
        }
        $files->put("{$this->copy}/core/Rules/AtNoon.php", self::NEW);
    }

    protected function tearDown(): void
    {
        (new Filesystem)->deleteDirectory($this->copy);
    }

    public function test_it_takes_five_files_at_most_and_everything_else_knows_it(): void
    {
        $process = new Process([(string) (new PhpExecutableFinder)->find(), dirname(__DIR__).'/with-another-opening.php', $this->copy], env: ['DB_DATABASE' => ':memory:', 'APP_ENV' => 'testing', 'CACHE_STORE' => 'array']);
        $process->mustRun();
        self::assertSame([
            'read' => true,
            'schema' => true,
            'definition' => ['2026-03-01T11:00:00Z', '2026-03-02T11:00:00Z'],
            'compiled' => ['2026-03-01T11:00:00Z', '2026-03-02T11:00:00Z'],
            'words' => 'at noon on the day of joining',
            'may be set' => true,
            'guests' => 'locked',
        ], json_decode($process->getOutput(), true));
    }
}
