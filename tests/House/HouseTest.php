<?php

declare(strict_types=1);

namespace Tests\House;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Deciding\Reason;
use Symfony\Component\Finder\Finder;

/** The house as it is built: no circle of classes or of folders, no room without its sign. */
final class HouseTest extends TestCase
{
    private const ROOMS = ['Access', 'Words', 'Drafts', 'Publishing', 'Sightlines', 'People', 'Offers', 'Notices', 'Learning', 'Front', 'School', 'Pages', 'Http', 'Console', 'Models', 'Database', 'Standins', 'Triggers', 'Cartridges', 'Checks', 'Counting', 'Agenda', 'Labels', 'Numbers', 'Files', 'Ledger', 'Privacy'];

    /** A folder with more than about twenty files hides a subject; models are as many as there are tables. */
    private const MOST_FILES = 22;

    private const WITHOUT_LIMIT = ['app/Models', 'app/Http/Requests', 'core/Rules'];

    private static string $root;

    /** @var array<string, list<string>> the classes that each class asks, by name */
    private static array $arrows;

    public static function setUpBeforeClass(): void
    {
        self::$root = dirname(__DIR__, 2);
        $files = [];
        foreach (['App\\' => 'app', 'SilentKeep\\Core\\' => 'core'] as $namespace => $folder) {
            foreach (self::filesIn($folder) as $file) {
                $files[$namespace.str_replace('/', '\\', substr($file, strlen($folder) + 1, -4))] = (string) file_get_contents(self::$root.'/'.$file);
            }
        }
        self::$arrows = [];
        foreach ($files as $class => $code) {
            self::$arrows[$class] = self::asked($class, $code, $files);
        }
    }

    public function test_no_classes_ask_each_other_in_a_circle(): void
    {
        self::assertSame([], self::circles(self::$arrows));
    }

    public function test_no_folders_ask_each_other_in_a_circle(): void
    {
        // A room and the folders in it are one; those of the core stand for themselves.
        $room = static fn (string $class): string => implode('\\', array_slice(explode('\\', $class), 0, str_starts_with($class, 'App\\') ? 2 : 3));
        $folders = [];
        foreach (self::$arrows as $class => $asked) {
            foreach ($asked as $other) {
                if ($room($class) !== $room($other)) {
                    $folders[$room($class)][] = $room($other);
                }
            }
        }
        self::assertGreaterThan(20, count($folders));
        self::assertSame([], self::circles(array_map(static fn (array $asked): array => array_values(array_unique($asked)), $folders)));
    }

    public function test_a_circle_would_be_found(): void
    {
        self::assertSame([], self::circles(['a' => ['b', 'c'], 'b' => ['c'], 'c' => []]));
        self::assertSame([['b', 'c', 'd']], self::circles(['a' => ['b'], 'b' => ['c'], 'c' => ['d'], 'd' => ['b']]));
        self::assertContains('SilentKeep\Core\Compiled\CourseMasks', self::$arrows['SilentKeep\Core\Compiled\MainPlan'] ?? []);
        self::assertContains('App\Models\Person', self::$arrows['App\People\ActOnPeople'] ?? []);
    }

    public function test_every_room_says_what_it_is_for_in_a_dozen_lines(): void
    {
        foreach (self::ROOMS as $room) {
            self::assertFileExists(self::$root."/app/{$room}/README.md");
            self::assertLessThanOrEqual(15, count(file(self::$root."/app/{$room}/README.md") ?: []), $room);
        }
        self::assertSame([], array_values(array_diff(array_map(basename(...), glob(self::$root.'/app/*') ?: []), [...self::ROOMS, 'Casts', 'Providers'])));
        self::assertSame([], glob(self::$root.'/app/*.php'));
    }

    /** Three hundred tests in four folders were never run, for a folder that no suite names is passed over without a word. */
    public function test_every_test_is_in_a_suite_that_is_run(): void
    {
        preg_match_all('#<directory>(.+?)</directory>#', (string) file_get_contents(self::$root.'/phpunit.xml'), $directories);
        $named = $directories[1];
        $folders = array_unique(array_map(dirname(...), array_filter(self::filesIn('tests'), static fn (string $file): bool => str_ends_with($file, 'Test.php'))));
        self::assertSame([], array_values(array_filter($folders, static fn (string $folder): bool => ! array_filter($named, static fn (string $suite): bool => str_starts_with("{$folder}/", "{$suite}/")))));
    }

    public function test_no_folder_hides_a_subject(): void
    {
        $counts = [];
        foreach ([...self::filesIn('app'), ...self::filesIn('core')] as $file) {
            $counts[dirname($file)] = ($counts[dirname($file)] ?? 0) + 1;
        }
        self::assertSame([], array_diff_key(array_filter($counts, static fn (int $count): bool => $count > self::MOST_FILES), array_flip(self::WITHOUT_LIMIT)));
    }

    /** @return list<string> from the root */
    private static function filesIn(string $folder): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::$root.'/'.$folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $files[] = substr($file->getPathname(), strlen(self::$root) + 1);
            }
        }
        sort($files);

        return $files;
    }

    /**
     * @param  array<string, string>  $files  code by class
     * @return list<string> classes of the house that the code names, comments left out
     */
    private static function asked(string $class, string $code, array $files): array
    {
        $namespace = substr($class, 0, (int) strrpos($class, '\\'));
        $asked = $short = [];
        $tokens = array_values(array_filter(\PhpToken::tokenize($code), static fn (\PhpToken $token): bool => ! $token->isIgnorable()));
        foreach ($tokens as $at => $token) {
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                $asked[ltrim($token->text, '\\')] = true;
            } elseif ($token->is(T_STRING) && ! ($tokens[$at - 1] ?? $token)->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_CONST, T_CASE])) {
                $short["{$namespace}\\{$token->text}"] = true;
            }
        }
        // Imported under their own name, they hide those of the same folder.
        foreach (array_keys($asked) as $name) {
            unset($short[$namespace.strrchr("\\{$name}", '\\')]);
        }

        return array_values(array_filter(array_keys($asked + $short), static fn (string $name): bool => $name !== $class && isset($files[$name])));
    }

    /**
     * By Tarjan's algorithm.
     *
     * @param  array<string, list<string>>  $arrows
     * @return list<list<string>> each circle, sorted
     */
    private static function circles(array $arrows): array
    {
        $index = $low = $stack = $found = [];
        $visit = static function (string $node) use (&$visit, &$index, &$low, &$stack, &$found, $arrows): void {
            $index[$node] = $low[$node] = count($index);
            $stack[$node] = true;
            foreach ($arrows[$node] ?? [] as $next) {
                if (! isset($index[$next])) {
                    $visit($next);
                    $low[$node] = min($low[$node], $low[$next]);
                } elseif (isset($stack[$next])) {
                    $low[$node] = min($low[$node], $index[$next]);
                }
            }
            if ($low[$node] === $index[$node]) {
                $circle = [];
                do {
                    $last = (string) array_key_last($stack);
                    unset($stack[$last]);
                    $circle[] = $last;
                } while ($last !== $node);
                if (count($circle) > 1) {
                    sort($circle);
                    $found[] = $circle;
                }
            }
        };
        foreach (array_keys($arrows) as $node) {
            if (! isset($index[$node])) {
                $visit((string) $node);
            }
        }

        return $found;
    }

    public function test_each_reason_is_linked_to_its_clause_of_the_contract(): void
    {
        $contract = (string) file_get_contents(dirname(__DIR__, 2).'/docs/decisions.md');
        preg_match_all('/^#+ (.+)$/m', $contract, $headings);
        $anchors = array_map(static fn (string $heading): string => (string) preg_replace(['/[^\w\s-]/u', '/\s/'], ['', '-'], mb_strtolower($heading)), $headings[1]);
        foreach ((new \ReflectionEnum(Reason::class))->getCases() as $case) {
            $code = (string) $case->getBackingValue();
            self::assertMatchesRegularExpression('/docs\/decisions\.md#[\w-]+/', (string) $case->getDocComment(), $code);
            preg_match('/decisions\.md#([\w-]+)/', (string) $case->getDocComment(), $found);
            self::assertContains($found[1] ?? '', $anchors, $code);
            self::assertStringContainsString("`{$code}`", $contract);
        }
    }

    /** Whoever walks a document as decoded JSON knows its format a second time. */
    public function test_documents_are_read_and_changed_by_their_own_readers_and_writers_alone(): void
    {
        $elsewhere = [];
        foreach ((new Finder)->files()->in(dirname(__DIR__, 2).'/app')->name('*.php')->notPath('Models') as $file) {
            if (str_contains($file->getContents(), 'stdClass')) {
                $elsewhere[] = $file->getRelativePathname();
            }
        }
        sort($elsewhere);
        // Asks of files, rows of queries, what systems of others send, and an empty address have nothing to do with documents.
        self::assertSame(['Access/AskFile.php', 'Console/Commands/Plans/DecideCommand.php', 'Http/Api/Controllers/StatementsController.php', 'Http/Api/Reading/Body.php', 'Learning/Progress/Told.php', 'Pages/People/PeoplePage.php', 'People/Import/ImportLetters.php'], $elsewhere);
    }

    public function test_no_file_has_more_than_300_lines(): void
    {
        $long = [];
        foreach (Finder::create()->files()->name(['*.php', '*.ts', '*.tsx', '*.css'])->in(array_map(self::path(...), ['app', 'core', 'lang', 'routes', 'tests', 'resources/js', 'resources/views', 'database/seeders', 'bin']))->notPath('lib/generated') as $file) {
            $lines = substr_count($file->getContents(), "\n");
            if ($lines > 300) {
                $long[] = "{$file->getRelativePathname()}: {$lines}";
            }
        }
        self::assertSame([], $long);
    }

    /** Data that tests are given, and journeys that go on as long as a person would, are no functions that do something. */
    public function test_no_function_has_more_than_40_lines(): void
    {
        $long = [];
        foreach (Finder::create()->files()->name('*.php')->in(array_map(self::path(...), ['app', 'core', 'routes'])) as $file) {
            $nodes = (new ParserFactory)->createForNewestSupportedVersion()->parse($file->getContents()) ?? [];
            foreach ((new NodeFinder)->findInstanceOf($nodes, Node\FunctionLike::class) as $function) {
                $lines = $function->getEndLine() - $function->getStartLine() + 1;
                if ($lines > 40 && ! str_ends_with((string) $file, 'routes/web.php')) {
                    $long[] = "{$file->getRelativePathname()}:{$function->getStartLine()}: {$lines}";
                }
            }
        }
        self::assertSame([], $long);
    }

    private static function path(string $folder): string
    {
        return dirname(__DIR__, 2)."/{$folder}";
    }
}
