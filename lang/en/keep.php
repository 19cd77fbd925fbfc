<?php

declare(strict_types=1);

/*
 * What all pages of the administrator's side say. Patterns are ICU messages.
 */
return [
    'pages' => 'Pages',
    'before' => 'Before',
    'page' => 'Page {page, number} of {pages, number}',
    'next' => 'Next',
];
