<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * What somebody answered in a quiz, and what it came to.
 *
 * @property int $id
 * @property int $person_id
 * @property int $course_id
 * @property string $item_key
 * @property float $score from 0 to 1
 * @property list<list<int|string>> $answers for each question what was chosen or typed
 * @property \DateTimeImmutable $tried_at
 */
final class QuizTry extends Record
{
    protected $table = 'quiz_tries';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['score' => 'float', 'answers' => 'array', 'tried_at' => UtcInstant::class];
}
