<?php

declare(strict_types=1);

/*
 * The list of keys. Patterns are ICU messages.
 */
return [
    'title' => 'Keys',
    'keys' => 'Keys',
    'everywhere' => [
        'title' => 'On every page',
        'somebody' => 'Finds or does anything, and answers why somebody cannot see something',
        'this_list' => 'This list',
        'to_the_page' => 'From the top of the page to what is on it',
        'find' => 'To the box that finds or filters',
        'leave' => 'Leaves a dialog, a list, a sheet or what is selected',
    ],
    'course' => [
        'title' => 'In a course',
        'lenses' => 'Rules, Sightlines, Timeline, Notices',
        'lenses_in_cells' => 'The same from a cell that takes what is typed',
        'undo' => 'Takes the last edit of the draft back',
        'redo' => 'Makes it again',
        'move' => 'From cell to cell; left of the first column is the title',
        'far' => 'To the first row, to the last',
        'sheet' => 'Opens the sheet of the row',
    ],
    'cells' => [
        'title' => 'In cells of rules',
        'type' => 'Any letter or digit: sets the cell to what is typed',
        'edit' => 'Edits what the cell says',
        'explain' => 'Explains the column, of this row',
        'down' => 'Keeps it and goes down (with Shift: up)',
        'right' => 'Keeps it and goes to the right (with Shift: left)',
        'form' => 'All its settings, as a form',
        'several' => 'Selects several cells; what is set in one of them is set in all',
        'copy' => 'Copies and pastes cells, or all rules of a row from its title; to and from spreadsheets too',
        'fill' => 'Fills the first of what is selected into the others; one cell from the one above',
        'empty' => 'Leaves the rule to what the row stands in',
    ],
    'rows' => [
        'title' => 'On titles',
        'rename' => 'Writes the title anew',
        'add' => 'A new row below; Enter keeps it and begins the next',
        'level' => 'While it is typed: further in or out',
        'paste' => 'Pastes an outline, with its levels',
        'move' => 'Moves the row up, down, in or out',
        'double' => 'Doubles the row with all inside',
        'take_out' => 'Takes the row out',
        'fold' => 'Folds a module up and out',
    ],
    'time' => [
        'title' => 'In Sightlines, Timeline and Notices',
        'steps' => 'To the change before, to the next',
        'now' => 'Back to now',
        'why' => 'Why this cell is as it is',
        'who' => 'Whose eyes it is looked through',
        'drag' => 'In Timeline: moves the opening of the row',
    ],
];
