<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

/** How a question is answered. */
enum QuestionKind: string
{
    /** By choosing one or several of its answers. */
    case Choice = 'choice';
    /** By a number. */
    case Number = 'number';
    /** By a word or a few. */
    case Text = 'text';
}
