<?php

declare(strict_types=1);

return [
    'ssr' => ['enabled' => false],
    'testing' => ['ensure_pages_exist' => true, 'page_paths' => [resource_path('js/pages')], 'page_extensions' => ['tsx']],
];
