<?php

declare(strict_types=1);

return [
    // What a browser keeps of pages to go back to is unreadable once somebody has signed out.
    'history' => ['encrypt' => true],
    'ssr' => ['enabled' => false],
    'testing' => ['ensure_pages_exist' => true, 'page_paths' => [resource_path('js/pages')], 'page_extensions' => ['tsx']],
];
