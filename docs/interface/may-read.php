<?php

declare(strict_types=1);

// May this learner read this now? From somebody else's page, with the client beside it: /interface/client.php of the school.
require getenv('KEEP_CLIENT') ?: __DIR__.'/client.php';
$keep = new SilentKeep((string) getenv('KEEP_SCHOOL'), (string) getenv('KEEP_TOKEN'));
$may = $keep->mayRead('clinker', 'l-planes', $argv[1] ?? 'eira@alder.test');
echo $may ? "Come in.\n" : "Not yet.\n";
