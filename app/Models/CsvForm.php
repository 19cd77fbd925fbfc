<?php

declare(strict_types=1);

namespace App\Models;

/** What divides the columns of CSV files, and whether the files begin with the mark by which spreadsheet programs know UTF-8. */
enum CsvForm: string
{
    case Comma = 'comma';
    case CommaMarked = 'comma-marked';
    case Semicolon = 'semicolon';
    case SemicolonMarked = 'semicolon-marked';

    /** A spreadsheet program would take a cell that begins so for a formula. */
    private const FORMULA = '/^[=+\-@\t\r]/';

    /** A cell that is read as the text it is, whatever it begins with. */
    public static function cell(string $text): string
    {
        return preg_replace(self::FORMULA, "'$0", $text) ?? $text;
    }

    public function separator(): string
    {
        return $this === self::Comma || $this === self::CommaMarked ? ',' : ';';
    }

    public function isMarked(): bool
    {
        return $this === self::CommaMarked || $this === self::SemicolonMarked;
    }
}
