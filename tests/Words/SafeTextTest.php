<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Words\SafeText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SafeTextTest extends TestCase
{
    #[DataProvider('markdown')]
    public function test_markdown_becomes_plain_html(string $markdown, string $html): void
    {
        self::assertSame($html, trim(SafeText::html($markdown)));
    }

    /** @return array<string, array{string, string}> */
    public static function markdown(): array
    {
        return [
            'nothing' => ['', ''],
            'blanks' => [" \n\t ", ''],
            'a paragraph' => ['Hone it.', '<p>Hone it.</p>'],
            'words that stand out' => ['*a* **b**', '<p><em>a</em> <strong>b</strong></p>'],
            'a heading' => ['## Tools', '<h2>Tools</h2>'],
            'a list' => ["- a\n- b", "<ul>\n<li>a</li>\n<li>b</li>\n</ul>"],
            'steps' => ["1. a\n2. b", "<ol>\n<li>a</li>\n<li>b</li>\n</ol>"],
            'steps that begin elsewhere' => ["3. a\n4. b", "<ol start=\"3\">\n<li>a</li>\n<li>b</li>\n</ol>"],
            'headings of all ranks' => ["# a\n### b\n#### c\n##### d\n###### e", "<h1>a</h1>\n<h3>b</h3>\n<h4>c</h4>\n<h5>d</h5>\n<h6>e</h6>"],
            'lines of code' => ["```php\na < b\n```", "<pre><code>a &lt; b\n</code></pre>"],
            'a break and a rule' => ["a  \nb\n\n---", "<p>a<br />\nb</p>\n<hr />"],
            'a link with a title' => ['[a](https://elsewhere.test/ "b")', '<p><a href="https://elsewhere.test/" title="b" rel="noopener noreferrer">a</a></p>'],
            'a quotation' => ['> a', "<blockquote>\n<p>a</p>\n</blockquote>"],
            'code' => ['`a < b`', '<p><code>a &lt; b</code></p>'],
            'a link out' => ['[a](https://elsewhere.test/)', '<p><a href="https://elsewhere.test/" rel="noopener noreferrer">a</a></p>'],
            'a link to a page of ours' => ['[a](/courses/clinker)', '<p><a href="/courses/clinker" rel="noopener noreferrer">a</a></p>'],
            'a letter' => ['<hege@alder.test>', '<p><a href="mailto:hege&#64;alder.test" rel="noopener noreferrer">hege&#64;alder.test</a></p>'],
            'letters of all kinds' => ['Målfrid & Østergaard 舟', '<p>Målfrid &amp; Østergaard 舟</p>'],
        ];
    }

    /** What was typed or pasted to run, to look like us, or to tell others who reads it. */
    #[DataProvider('attacks')]
    public function test_nothing_in_a_text_can_do_anything(string $attack): void
    {
        $document = new \DOMDocument;
        @$document->loadHTML('<?xml encoding="UTF-8"><div id="all">'.SafeText::html($attack).'</div>');
        foreach ($document->getElementsByTagName('*') as $element) {
            self::assertNotContains(strtolower($element->tagName), ['script', 'style', 'iframe', 'object', 'embed', 'form', 'input', 'button', 'textarea', 'select', 'svg', 'math', 'link', 'meta', 'base', 'img', 'video', 'audio', 'source', 'template', 'noscript', 'frame', 'frameset', 'applet'], $attack);
            foreach ($element->attributes ?? [] as $attribute) {
                self::assertInstanceOf(\DOMAttr::class, $attribute);
                self::assertDoesNotMatchRegularExpression('/^(on|style$|srcdoc$|formaction$|xlink)/i', $attribute->name, $attack);
                if ($attribute->name === 'href') {
                    self::assertMatchesRegularExpression('~^(https?://|mailto:|/|#|[\w.%-]+$)~i', $attribute->value, $attack);
                }
            }
        }
        self::assertNotNull($document->getElementById('all'));
    }

    /** @return list<array{string}> */
    public static function attacks(): array
    {
        return array_map(static fn (string $attack): array => [$attack], [
            '<script>alert(1)</script>', '<SCRIPT SRC=//elsewhere.test/x.js></SCRIPT>', '<scr<script>ipt>alert(1)</scr</script>ipt>',
            '<img src=x onerror=alert(1)>', '![a](https://elsewhere.test/who-reads.png)', '![a](data:image/svg+xml;base64,PHN2Zz4=)', '![a](x"onerror="alert(1))',
            '[a](javascript:alert(1))', '[a](JaVaScRiPt:alert(1))', "[a](java\tscript:alert(1))", '[a](&#106;avascript:alert(1))', '[a](data:text/html,<script>alert(1)</script>)', '[a](vbscript:msgbox(1))', '<javascript:alert(1)>', "[a]: javascript:alert(1)\n\n[a]",
            '[a](https://elsewhere.test/" onmouseover="alert(1))', '<a href="https://elsewhere.test/" onclick="alert(1)" style="position:fixed">a</a>',
            '<svg onload=alert(1)>', '<svg><script>alert(1)</script></svg>', '<math><mi xlink:href="javascript:alert(1)">a</mi></math>',
            '<iframe src="https://elsewhere.test/"></iframe>', '<object data="x.swf"></object>', '<embed src="x">', '<form action="https://elsewhere.test/"><input name=password><button>Sign in</button></form>',
            '<style>body { display: none }</style>', '<div style="background: url(https://elsewhere.test/)">a</div>', '<link rel=stylesheet href=//elsewhere.test/x.css>', '<meta http-equiv=refresh content="0;url=https://elsewhere.test/">', '<base href="https://elsewhere.test/">',
            '<video src=x onerror=alert(1)></video>', '<details open ontoggle=alert(1)>a</details>', '<template><script>alert(1)</script></template>', '<noscript><p title="</noscript><img src=x onerror=alert(1)>">',
            '<!--><script>alert(1)</script-->', '<![CDATA[<script>alert(1)</script>]]>', '<?php echo 1 ?>', "```html\n<script>alert(1)</script>\n```", str_repeat('> ', 400).'<script>alert(1)</script>', str_repeat('[', 2000),
        ]);
    }

    #[DataProvider('names')]
    public function test_a_name_means_nothing_in_markdown(string $name): void
    {
        $html = SafeText::html('x'.SafeText::escape($name).'x');
        self::assertSame(['x'.preg_replace('/\s+/u', ' ', $name).'x', '<p>'], [html_entity_decode(strip_tags(trim($html)), ENT_QUOTES | ENT_HTML5), substr($html, 0, 3)]);
        self::assertSame(1, preg_match_all('/<[a-z]/', $html));
    }

    /** @return list<array{string}> */
    public static function names(): array
    {
        return [['Eira Holm'], ['*Eira*'], ['_Eira_'], ['[Eira](https://elsewhere.test)'], ['<b>Eira</b>'], ['`Eira`'], ['# Eira'], ['1. Eira'], ['- Eira'], ['> Eira'], ['Eira\\'], ['Eira & Sønner'], ["Eira\n\n# Holm"], ['~~Eira~~'], ['![Eira](x)'], ['O’Hare, "Eira"'], ['{name}']];
    }
}
