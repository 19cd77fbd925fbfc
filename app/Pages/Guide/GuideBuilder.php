<?php

declare(strict_types=1);

namespace App\Pages\Guide;

use League\CommonMark\GithubFlavoredMarkdownConverter;

/** Makes a page of the guide that ships with the program: nobody else writes in it. */
final readonly class GuideBuilder
{
    private const FILE = 'docs/guide/README.md';

    private const PICTURES = 'docs/screenshots';

    public function page(): GuidePage
    {
        $text = (string) file_get_contents(base_path(self::FILE));
        // Its first heading and its contents are the page's own.
        $html = (new GithubFlavoredMarkdownConverter)->convert((string) preg_replace('/\A# .*?(?=^## )/sm', '', $text))->getContent();
        $chapters = [];
        $html = (string) preg_replace_callback('~<h([23])>(.*?)</h\1>~s', static function (array $found) use (&$chapters): string {
            $title = html_entity_decode(strip_tags($found[2]), ENT_QUOTES);
            $id = self::id($title);
            if ($found[1] === '2') {
                $chapters[] = new GuideChapter($id, $title);
            }

            return "<h{$found[1]} id=\"{$id}\">{$found[2]}</h{$found[1]}>";
        }, $html);
        $html = (string) preg_replace_callback('~src="\.\./screenshots/([a-z-]+\.png)"~', static fn (array $found): string => 'loading="lazy" width="1280" height="800" src="'.route('keep.guide.picture', $found[1], false).'"', $html);

        return new GuidePage($html, $chapters);
    }

    /** @return ?string where a picture of the guide lies; null: it has none of that name */
    public function picture(string $name): ?string
    {
        $path = base_path(self::PICTURES."/{$name}");

        return preg_match('/^[a-z-]+\.png$/D', $name) === 1 && is_file($path) ? $path : null;
    }

    /** As the contents of the file name it. */
    private static function id(string $title): string
    {
        return str_replace(' ', '-', trim((string) preg_replace('/[^\p{L}\p{N} -]+/u', '', mb_strtolower($title))));
    }
}
