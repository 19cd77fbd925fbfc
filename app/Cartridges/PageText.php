<?php

declare(strict_types=1);

namespace App\Cartridges;

/** The words of an HTML page, as Markdown that says no more than they do. Its pictures and its looks are not taken. */
final class PageText
{
    private const MOST = 100_000;

    public static function of(string $html): string
    {
        $html = mb_scrub((string) preg_replace(['~<!--.*?-->~s', '~<(script|style|head|template|noscript)\b.*?</\1\s*>~is'], '', mb_scrub($html)));
        $html = (string) preg_replace_callback('~<h([1-6])\b[^>]*>~i', static fn (array $found): string => "\n\n".str_repeat('#', max(2, (int) $found[1])).' ', $html);
        $html = (string) preg_replace(['~<li\b[^>]*>~i', '~<br\b[^>]*>~i', '~</?(?:p|div|section|article|table|tr|ul|ol|blockquote|pre|h[1-6])\b[^>]*>~i'], ["\n- ", "\n", "\n\n"], $html);
        $text = html_entity_decode(strip_tags($html), ENT_QUOTES | ENT_HTML5, 'UTF-8');
        // What was an entity stays a sign: it is no markup here either.
        $text = str_replace(['<', '>'], ['&lt;', '&gt;'], $text);
        $text = (string) preg_replace(['/[ \t\x{00A0}]+/u', '/ *\n */u', '/\n{3,}/u'], [' ', "\n", "\n\n"], $text);

        return mb_substr(trim($text), 0, self::MOST);
    }
}
