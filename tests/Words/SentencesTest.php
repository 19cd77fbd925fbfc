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

/** What people read stands in lang/, and nowhere else: on all pages, and in PHP that speaks to learners and visitors. */
final class SentencesTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** Two words after each other that are not code. */
    private const WORDS = '/\p{L}{2,}[,.;:]? \p{L}{2,}/u';

    /** @return list<array{string}> files and folders of PHP that speak to learners and visitors */
    public static function php(): array
    {
        return array_map(static fn (string $path): array => [$path], [
            'app/Learning', 'app/Pages/Learner', 'app/Http/Controllers/Learner', 'app/People/Accounts', 'app/Offers/Terms.php', 'app/Offers/Sales/Shop.php', 'app/Offers/Sales/Buy.php', 'app/Offers/Sales/Deals.php', 'app/Offers/Sales/Prices.php', 'app/Words/ClosedWords.php',
            'app/Http/Controllers/AccountController.php', 'app/Http/Controllers/SignInController.php', 'app/Http/Controllers/SignInLinkController.php', 'app/Http/Requests/SignInRequest.php',
            'app/Http/Requests/PasswordRequest.php', 'app/Http/Requests/QuizRequest.php', 'app/Http/Throttles.php', 'app/Http/ErrorPages.php',
        ]);
    }

    #[DataProvider('php')]
    public function test_no_sentence_stands_in(string $path): void
    {
        $files = is_file(self::ROOT."/{$path}") ? [self::ROOT."/{$path}"] : Finder::create()->files()->name('*.php')->in(self::ROOT."/{$path}");
        $found = [];
        foreach ($files as $file) {
            foreach (self::sentences((string) file_get_contents((string) $file)) as $sentence) {
                $found[] = basename((string) $file).": {$sentence}";
            }
        }
        self::assertSame([], $found);
    }

    public function test_it_finds_one(): void
    {
        self::assertSame(['It is over'], self::sentences('<?php $a = say("It is over"); $b = DB::table("x")->whereRaw("a is b"); throw new LogicException("Not so good");'));
    }

    /** Between tags the linter finds them. */
    public function test_no_words_stand_in_what_pages_read_out_or_choose(): void
    {
        $found = [];
        foreach (Finder::create()->files()->name('*.tsx')->notName(['*.test.tsx', 'app.tsx'])->in(self::ROOT.'/resources/js') as $file) {
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
        foreach (Finder::create()->files()->name(['*.tsx', 'theme.ts'])->in(self::ROOT.'/resources/js') as $file) {
            $pages .= file_get_contents((string) $file);
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
