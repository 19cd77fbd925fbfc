<?php

declare(strict_types=1);

// Find or do: what can be done, what it does, and every word that the trade has for it (with commas between them).
return [
    'do' => [
        'sample' => [
            'title' => 'Samples',
            'note' => 'Which lessons strangers may see',
            'words' => 'free lesson, preview, preview lesson, taster, teaser, demo lesson, trailer, free content, give away, public lesson',
        ],
        'release' => [
            'title' => 'Release plan',
            'note' => 'When each row opens',
            'words' => 'drip, drip schedule, drip content, delay, schedule, unlock date, unlock by date, pacing, pace, opens after days, weekly release, available from, start date of a lesson',
        ],
        'after' => [
            'title' => 'What comes first',
            'note' => 'What is to be finished before',
            'words' => 'lock, lock a lesson, locked lesson, prerequisite, gate, sequential, sequence, must complete, complete first, order of lessons, unlock after finishing, requirement, dependency, completion rule',
        ],
        'tier' => [
            'title' => 'Tiers',
            'note' => 'For which passes each row is',
            'words' => 'level, membership level, membership tier, package, plan level, gold and silver, premium content, restrict content',
        ],
        'closing_time' => [
            'title' => 'When rows close',
            'note' => 'Until when each row is open',
            'words' => 'expire a lesson, expiry, deadline, due date, available until, end date of a lesson, lock after',
        ],
        'hidden' => [
            'title' => 'Hidden or locked',
            'note' => 'What is shown of what is closed',
            'words' => 'hide lesson, hide, invisible, show title, visibility, secret lesson, unlisted',
        ],
        'doors' => [
            'title' => 'Doors of the course',
            'note' => 'Who gets in without a pass: guests and observers',
            'words' => 'guest link, guest access, visitor access, share link, pass phrase, password protect, secret link, anonymous access, enrolment, who can join, open enrolment, registration',
        ],
        'season' => [
            'title' => 'Season of the course',
            'note' => 'From when until when the course runs',
            'words' => 'course dates, start and end date, course start, course end, term, semester, cohort dates',
        ],
        'look' => [
            'title' => 'Sightlines',
            'note' => 'Look at the course as anybody else does',
            'words' => 'view as, preview as, see as student, student view, impersonate, log in as, test account, private window, what learners see',
        ],
        'timeline' => [
            'title' => 'Timeline',
            'note' => 'When what opens and closes, drawn',
            'words' => 'calendar view, gantt, dates, schedule view, when does it open',
        ],
        'met' => [
            'title' => 'Notices of the course',
            'note' => 'What is met at each closed row',
            'words' => 'locked page, closed page, no access page',
        ],
        'rehearse' => [
            'title' => 'Rehearsal',
            'note' => 'What a change does to real people before it is live',
            'words' => 'dry run, test changes, impact, publish changes, go live, publish, who is affected, simulate',
        ],
        'history' => [
            'title' => 'History',
            'note' => 'Every publication, to go back to',
            'words' => 'versions, version history, undo publish, roll back, rollback, restore version, previous version, revisions, audit log',
        ],
        'checks' => [
            'title' => 'Checks',
            'note' => 'What in the rules somebody hardly meant',
            'words' => 'problems, mistakes, errors in course, warnings, broken rules, health check, validate course, findings',
        ],
        'numbers' => [
            'title' => 'In numbers',
            'note' => 'Where learners are, what opens, how trials go',
            'words' => 'chart, charts, statistics, stats, analytics, report, reports, funnel, conversion, progress overview, how far',
        ],
        'contents' => [
            'title' => 'Contents',
            'note' => 'What lessons hold: text, film, files',
            'words' => 'upload video, video, text of a lesson, files, attachments, pdf, audio, captions, subtitles, lesson content',
        ],
        'quiz' => [
            'title' => 'Quizzes',
            'note' => 'Questions in a lesson, and how it is passed',
            'words' => 'test, exam, quiz score, questions, assessment, passing grade, quiz attempts',
        ],
        'retire' => [
            'title' => 'Retire the course',
            'note' => 'Close it for good, with a page that says so',
            'words' => 'archive, close course, end course, delete course, take down, sunset, unpublish',
        ],
        'run_again' => [
            'title' => 'Run the course again',
            'note' => 'The same course with other dates',
            'words' => 'duplicate course, copy course, new cohort, next run, repeat, clone, reschedule course',
        ],
        'plan_file' => [
            'title' => 'Plan file',
            'note' => 'The rules of the course as a file',
            'words' => 'export course, export json, download rules, backup of course',
        ],
        'today' => [
            'title' => 'Today',
            'note' => 'The week, what ends, what is found',
            'words' => 'dashboard, home, overview, agenda, start page',
        ],
        'courses' => [
            'title' => 'Courses',
            'note' => 'All of them, and a new one',
            'words' => 'new course, create course, my courses, list of courses, import course, common cartridge',
        ],
        'people' => [
            'title' => 'People',
            'note' => 'Everybody, and what they hold',
            'words' => 'learners, students, members, users, customers, subscribers, participants, find somebody, progress of students, accounts',
        ],
        'bring_in' => [
            'title' => 'Bring people in',
            'note' => 'From a file or a roster',
            'words' => 'import, import csv, upload list, upload users, enrol, enroll, bulk enrol, bulk add, roster, oneroster, add students, invite people, spreadsheet',
        ],
        'observers' => [
            'title' => 'Observers',
            'note' => 'Who looks in on a learner',
            'words' => 'parent, guardian, sponsor, mentor, employer, supervisor, coach, manager access, read only access',
        ],
        'trials' => [
            'title' => 'Who is on a trial',
            'note' => 'People with a trial, and until when',
            'words' => 'free trial, trial users, trial period, try before buying, ten day trial',
        ],
        'lookers' => [
            'title' => 'Who only looked at samples',
            'note' => 'People who have never had a pass',
            'words' => 'leads, prospects, abandoned, looked but did not buy, free users',
        ],
        'labels' => [
            'title' => 'Labels',
            'note' => 'Words attached to people',
            'words' => 'tag, tags, group, groups, segment, cohort, audience, custom field, rename label, merge labels, where used',
        ],
        'extend' => [
            'title' => 'Passes that end soon',
            'note' => 'To be extended',
            'words' => 'extend access, renew, expiring soon, access ends, prolong, more time, expiration date',
        ],
        'offers' => [
            'title' => 'Offers',
            'note' => 'What is sold or free, and what it opens',
            'words' => 'price, pricing, product, sell, checkout, payment, paid course, sales page, membership, subscription, buy button, trial offer, coupon',
        ],
        'bundles' => [
            'title' => 'Bundles',
            'note' => 'Several offers for one price',
            'words' => 'bundle, package deal, combo, several courses together',
        ],
        'notices' => [
            'title' => 'Notices',
            'note' => 'What people meet at a closed door',
            'words' => 'paywall, redirect, error page, access denied, forbidden page, upsell page, message for locked content, call to action, not allowed page',
        ],
        'shared_notices' => [
            'title' => 'Shared notices',
            'note' => 'One notice for many courses',
            'words' => 'closing page, template page, reusable page, sunset page',
        ],
        'letters' => [
            'title' => 'Letters',
            'note' => 'The mails that are written by themselves',
            'words' => 'email, emails, email templates, mail, reminder, welcome email, notification, newsletter text, password mail',
        ],
        'triggers' => [
            'title' => 'Triggers',
            'note' => 'What is done by itself when something comes about',
            'words' => 'automation, automations, workflow, rule, when then, auto enrol, automatic, action, sequence of emails',
        ],
        'forms' => [
            'title' => 'Forms',
            'note' => 'What visitors fill in',
            'words' => 'sign up form, contact form, opt in, lead form, landing form, registration form',
        ],
        'outbox' => [
            'title' => 'Outbox',
            'note' => 'What was sent and received',
            'words' => 'sent mail, email log, delivery log, bounced, bounces, mail that came back',
        ],
        'outside' => [
            'title' => 'Systems of others',
            'note' => 'What is told to them',
            'words' => 'webhook, webhooks, integration, integrations, crm, connect, zap',
        ],
        'tokens' => [
            'title' => 'Tokens',
            'note' => 'With which systems of others may ask',
            'words' => 'api key, api keys, api token, access token, developer key',
        ],
        'school' => [
            'title' => 'School',
            'note' => 'Its name, language and settings',
            'words' => 'settings, school name, preferences, configuration, site settings, language, currency, branding',
        ],
        'staff' => [
            'title' => 'Staff',
            'note' => 'Who works here, and what each of them may',
            'words' => 'role, roles, permissions, team, admin, administrator, editor, instructor, teacher, moderator, assistant, read-only user, looker-on, user rights',
        ],
        'front' => [
            'title' => 'The front',
            'note' => 'What visitors see first',
            'words' => 'home page, landing page, storefront, catalogue, catalog, course list, public page, cover',
        ],
        'zone' => [
            'title' => 'Time zone',
            'note' => 'By whose clock everything opens',
            'words' => 'timezone, time zone, clock, daylight saving, local time',
        ],
        'guests_at_all' => [
            'title' => 'Guests at all',
            'note' => 'Whether the school lets anybody in without an account',
            'words' => 'allow guests, disable guests, public access',
        ],
        'holidays' => [
            'title' => 'Holidays',
            'note' => 'On which nothing opens when dates are moved',
            'words' => 'days off, vacation, closed days, public holidays, break',
        ],
        'guide' => [
            'title' => 'Guide',
            'note' => 'How everything is done, in order, with pictures',
            'words' => 'help, manual, documentation, how to, instructions, tutorial, support, learn how, user guide',
        ],
        'password' => [
            'title' => 'Your account',
            'note' => 'Your password and your letters',
            'words' => 'my password, change password, sign in, profile, my account, two windows, sessions',
        ],
        'interface' => [
            'title' => 'The interface for systems',
            'note' => 'Every address, described',
            'words' => 'api, api docs, rest, openapi, xapi, developer documentation',
        ],
    ],
    'why' => 'Why can {who} not see {what}?',
    'a_course' => 'course',
    'in_course' => '{kind}, {course}',
    'an_offer' => 'offer, {course}',
    'a_label' => 'label, {count, plural, one {# person} other {# people}}',
];
