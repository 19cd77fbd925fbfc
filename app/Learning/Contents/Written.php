<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Content;

/** What an item says and asks. */
final readonly class Written
{
    /**
     * @param  string  $text  Markdown
     * @param  list<array{ask: string, answers: list<string>, right: list<int>, kind?: string, told?: list<string>, within?: float|int}>  $quiz
     * @param  ?array<string, mixed>  $rules  of the quiz; null: as often as one likes
     * @param  ?string  $board  what a board is for
     * @param  ?int  $minutes  that it takes; null: as reckoned
     * @param  ?array{token: string, x: int, y: int}  $cover  of a module: a picture, and what of it is kept in view, in per cent
     */
    public function __construct(public string $text, public array $quiz = [], public ?array $rules = null, public ?string $board = null, public ?int $minutes = null, public ?array $cover = null)
    {
    }

    public static function of(Content $content): self
    {
        return new self($content->text, $content->quiz, $content->quiz_rules, $content->board, $content->minutes, $content->cover);
    }

    /** @param  array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}}  $columns */
    public static function from(array $columns): self
    {
        return new self($columns['text'], $columns['quiz'], $columns['quiz_rules'], $columns['board'], $columns['minutes'], $columns['cover'] ?? null);
    }

    /** @return array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>, kind?: string, told?: list<string>, within?: float|int}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}} */
    public function columns(): array
    {
        return ['text' => $this->text, 'quiz' => $this->quiz, 'quiz_rules' => $this->rules, 'board' => $this->board, 'minutes' => $this->minutes, 'cover' => $this->cover];
    }
}
