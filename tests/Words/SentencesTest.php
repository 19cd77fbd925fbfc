<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Console\Commands\TypesCommand;
use Illuminate\Support\Arr;
use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What people read stands in lang/, and nowhere else. */
final class SentencesTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** Two words after each other that are not code. */
    private const WORDS = '/\p{L}{2,}[,.;:]? (?:\p{L} )?\p{L}{2,}/u';

    /** Said on a terminal, to whoever runs the program, or a plan file's own words. */
    private const ON_TERMINALS = ['Console', 'Database', 'School/Backup', 'Ledger/History', 'Ledger/Proof', 'Ledger/Rebuilding', 'Ledger/Recording', 'Access/AskFile.php', 'Access/PlanFile.php', 'Casts', 'Models'];

    /** Names, addresses, states and queries that only look like words. */
    private const DATA = [
        'People/Staged/StagedRows.php', 'School/BeginSchool.php', 'Standins/Mail/Postbox.php', 'Words/CalendarFile.php', 'Words/SafeText.php',
        'People/Acts/Passes/GivePass.php: by hand', 'Offers/Taking.php: renews from ', 'Offers/Taking.php: in place of ', 'Checks/TouchedCounts.php: findings of the draft', 'Publishing/Seen/Receipt.php: at once', 'Privacy/Held/OnErasing.php: at once',
        'Http/Middleware/NotBegun.php: not begun', 'Http/ErrorPages.php: guest link', 'Http/ErrorPages.php: guest hidden', 'Http/Middleware/SecurityHeaders.php: no-store, private', 'Http/Requests/RuleInput.php: as above', 'Drafts/Edits/SetCourse.php: asks for a phrase',
        'Drafts/Plans/RenamePlan.php: rename plan', 'Drafts/Plans/DeletePlan.php: delete plan', 'Drafts/Plans/MakePlan.php: make plan', 'Drafts/Edits/PutPlan.php: put plan', 'Http/Api/Document/ApiDocument.php: Silent Keep', 'Http/Api/Document/Clients/PhpClient.php', 'Http/Api/Document/Clients/TypeScriptClient.php', 'Http/Controllers/InterfaceController.php: text/plain; charset=utf-8', 'Drafts/Edits/DropOffer.php: drop offer',
        'People/Import/ColumnNames.php', 'People/Import/Back/Untouched.php', 'People/Import/Back/TakingImportBack.php: person_id not in (select id from back_people)', 'People/Import/StagedImport.php: not is_new',
        // What the command that ends trials lists.
        'Offers/EndTrials.php: : another pass of ', 'Offers/EndTrials.php:  keeps what was finished', 'Offers/EndTrials.php:  finished in ',
    ];

    public function test_no_sentence_stands_in_the_program(): void
    {
        $found = [];
        foreach (Finder::create()->files()->name('*.php')->in(self::ROOT.'/app')->notPath(self::ON_TERMINALS) as $file) {
            foreach (self::sentences($file->getContents()) as $sentence) {
                $found[] = "{$file->getRelativePathname()}: {$sentence}";
            }
        }
        $isData = static fn (string $one): bool => in_array($one, self::DATA, true) || in_array(strstr($one, ':', true), self::DATA, true) || preg_match('/: (\S+ as \S+|bringing in|taking back|taken back)$/D', $one) === 1;
        self::assertSame([], array_values(array_filter($found, static fn (string $one): bool => ! $isData($one))));
        self::assertSame([], array_values(array_filter(self::DATA, static fn (string $one): bool => array_filter($found, static fn (string $of): bool => str_starts_with($of, $one)) === [])));
    }

    public function test_it_finds_one(): void
    {
        self::assertSame(['It is over'], self::sentences('<?php $a = say("It is over"); $b = DB::table("x")->whereRaw("a is b"); throw new LogicException("Not so good");'));
    }

    /** Between tags the linter finds them. */
    public function test_no_words_stand_in_what_pages_read_out_or_choose(): void
    {
        $found = [];
        foreach (Finder::create()->files()->name('*.tsx')->notName(['*.test.tsx', 'keepBoot.tsx', 'boot.tsx'])->in(self::ROOT.'/resources/js') as $file) {
            foreach (self::wordsOfPage((string) file_get_contents((string) $file)) as $words) {
                $found[] = "{$file->getFilename()}: {$words}";
            }
        }
        self::assertSame([], $found);
    }

    public function test_it_finds_those_of_a_page(): void
    {
        self::assertSame(
            ['aria-label="A label"', 'nothingFoundMessage="none"', '"A label"', "'Said so'", '`The ${one} said so`'],
            self::wordsOfPage(<<<'TSX'
                <i aria-label="A label" nothingFoundMessage="none" className="not this one" />{so ? 'Said so' : `The ${one} said so`}
                TSX),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function patterns(): iterable
    {
        foreach (Finder::create()->files()->name('*.php')->in(self::ROOT.'/lang/en') as $file) {
            foreach (Arr::dot(require (string) $file) as $key => $pattern) {
                yield $file->getBasename('.php').".{$key}" => [(string) $key, (string) $pattern];
            }
        }
    }

    #[DataProvider('patterns')]
    public function test_a_pattern_can_be_read_and_says_something(string $key, string $pattern): void
    {
        self::assertNotSame('', trim($pattern));
        self::assertNotFalse((new \MessageFormatter('en', $pattern))->format([]));
        // An apostrophe of the keyboard would quote what follows it.
        self::assertStringNotContainsString("'", $pattern);
    }

    public function test_all_that_pages_may_say_is_said_by_one(): void
    {
        $pages = '';
        foreach (Finder::create()->files()->name(['*.tsx', '*.ts'])->exclude('lib/generated')->in(self::ROOT.'/resources/js') as $file) {
            $pages .= file_get_contents((string) $file);
        }
        foreach (Finder::create()->files()->name('*.php')->in(self::ROOT.'/resources/views') as $file) {
            $pages .= str_replace("'learn.", "'", (string) file_get_contents((string) $file));
        }
        $told = Arr::dot(require self::ROOT.'/lang/en/learn.php');
        foreach (TypesCommand::KEEP as $file) {
            // What stands loose in the file on publishing is said by PHP alone.
            $words = (array) require self::ROOT."/lang/en/{$file}.php";
            $told += Arr::dot([$file => $file === 'publishing' ? array_filter($words, is_array(...)) : $words]);
        }
        $unsaid = array_filter(array_keys($told), static fn (string $key): bool => ! str_contains($pages, "'{$key}'") && preg_match('/^(error|state|rules)\./', $key) !== 1);
        self::assertSame([], array_values($unsaid));
    }

    public function test_all_other_words_are_said_by_the_program(): void
    {
        $program = '';
        foreach (Finder::create()->files()->name('*.php')->in([self::ROOT.'/app', self::ROOT.'/bootstrap', self::ROOT.'/routes'])->notPath('cache') as $file) {
            $program .= $file->getContents();
        }
        // Some are put together: "why.fix.{$kind}".
        preg_match_all('/["\']([a-z_]+\.[a-z_.]*)(?:\{\$|\'\.)/', $program, $begun);
        $unsaid = [];
        foreach (Finder::create()->files()->name('*.php')->notName(['learn.php', ...array_map(static fn (string $file): string => "{$file}.php", TypesCommand::KEEP)])->in(self::ROOT.'/lang/en') as $file) {
            foreach (array_keys(Arr::dot([$file->getBasename('.php') => require $file->getPathname()])) as $key) {
                if (! str_contains($program, "'{$key}'") && array_filter($begun[1], static fn (string $begins): bool => str_starts_with((string) $key, $begins)) === []) {
                    $unsaid[] = $key;
                }
            }
        }
        self::assertSame([], $unsaid);
    }

    /** @return list<string> */
    private static function sentences(string $code): array
    {
        $visitor = new class(self::WORDS) extends NodeVisitorAbstract
        {
            /** @var list<string> */
            public array $found = [];

            public function __construct(private readonly string $words)
            {
            }

            public function enterNode(Node $node): ?int
            {
                // What is wrong with the program itself is told to whoever keeps it; queries and attributes are code.
                if ($node instanceof Node\Expr\Throw_ && $node->expr instanceof Node\Expr\New_ && $node->expr->class instanceof Node\Name && preg_match('/(Logic|Runtime|OutOfBounds)Exception$/', $node->expr->class->toString()) === 1) {
                    return NodeVisitor::DONT_TRAVERSE_CHILDREN;
                }
                $isHeader = $node instanceof Node\ArrayItem && $node->key instanceof Node\Scalar\String_ && preg_match('/^[A-Z][a-z]+(-[A-Z][a-z]+)+$/', $node->key->value) === 1;
                $asksDatabase = $node instanceof Node\Expr\StaticCall && $node->class instanceof Node\Name && $node->class->toString() === 'DB';
                if ($isHeader || $asksDatabase || $node instanceof Node\AttributeGroup || ($node instanceof Node\Expr\MethodCall && $node->name instanceof Node\Identifier && str_ends_with($node->name->name, 'Raw'))) {
                    return NodeVisitor::DONT_TRAVERSE_CHILDREN;
                }
                if (($node instanceof Node\Scalar\String_ || $node instanceof Node\InterpolatedStringPart) && preg_match($this->words, $node->value) === 1) {
                    $this->found[] = $node->value;
                }

                return null;
            }
        };
        (new NodeTraverser($visitor))->traverse((new ParserFactory)->createForNewestSupportedVersion()->parse($code) ?? []);

        return $visitor->found;
    }

    /** @return list<string> what stands in an attribute that is read, or is put together */
    private static function wordsOfPage(string $code): array
    {
        $code = (string) preg_replace(['#/\*.*?\*/#s', '#^\s*//.*$#m', '#\{/\*.*?\*/\}#s'], '', $code);
        preg_match_all('/\b(?:label|aria-label|title|placeholder|description|alt|legend|caption|nothingFoundMessage|keep|words)="[^"]*\p{L}{2,}[^"]*"/u', $code, $attributes);
        preg_match_all('/([\'`"])\p{Lu}\p{L}*[,.]? (?:\p{L}{2,}|\$\{)[^\'`"]*\1/u', $code, $expressions);

        return [...$attributes[0], ...$expressions[0]];
    }
}
