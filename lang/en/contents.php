<?php

declare(strict_types=1);

/*
 * What lessons and boards hold. Patterns are ICU messages.
 */
return [
    'quiz_editor' => [
        'quiz' => 'Quiz',
        'no_questions' => 'No questions.',
        'out' => 'Out',
        'one_more_answer' => 'One more answer',
        'take_the_question_out' => 'Take the question out',
        'one_more_question' => 'One more question',
        'question' => 'Question {number}',
        'is_right' => 'Answer {number} is right',
        'answer' => 'Answer {number}',
        'take_out_answer' => 'Take answer {number} out',
    ],
    'contents' => [
        'contents_of_title' => 'Contents of {title}',
        'contents' => 'Contents',
        'items' => 'Items',
        'nothing_yet' => 'nothing yet',
        'what_course_says_itself' => 'What the course says of itself',
        'text' => 'Text',
        'markdown_stands_on_public' => 'Markdown. It stands on the public page of the course.',
        'announcements_what_written_here' => 'Announcements: what is written here',
        'calendar_everybodys_own_openings' => 'Calendar: everybody’s own openings',
        'discussion_learners_talk_each' => 'Discussion: learners talk to each other',
        'marks_what_one_has' => 'Marks: what one has finished, and the scores of one’s quizzes',
        'what_board_for' => 'What the board is for',
        'markdown' => 'Markdown',
        'pictures_recordings_videos_and' => 'Pictures, recordings, videos and files',
        'there_none_what_browsers' => 'There are none. What browsers show or play stands in the lesson; all else is there to be downloaded.',
        'file_deleted_and_with' => 'The file is deleted, and with it how much of it everybody has watched; what they have finished stays finished.',
        'the_file_is_deleted' => 'The file is deleted.',
        'take_it_out' => 'Take it out',
        'another_file' => 'Another file',
        'its_title' => 'Its title',
        'put_it_in' => 'Put it in',
        'preview' => 'Preview',
        'as_it_is_read' => 'As it is read',
        'nothing_has_been_written' => 'Nothing has been written yet.',
        'told' => '{course} · what lessons and boards hold; it goes live as it is saved, to whoever the rules let in',
        'has_text' => 'text',
        'up' => 'Up {what}',
        'take_out' => 'Take out {what}',
        'take_out_ask' => 'Take out {title}?',
        'no_undo' => '{what} This cannot be undone.',
        'percent' => '{percent} %',
    ],
];
