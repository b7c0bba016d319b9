<?php

declare(strict_types=1);

/*
 * What every request uses is compiled and linked once, when the server starts (opcache.preload): the framework's own
 * list, then the rules and the rooms. Names the list by the environment of the instance, as ops/lib.sh sets it.
 */
$list = glob(getenv('CHALK_STATE').'/cache/'.getenv('APP_ENV').'/*Container.preload.php');
foreach (is_array($list) ? $list : [] as $file) {
    require_once $file;
}
$root = dirname(__DIR__);
foreach (["$root/core/src", "$root/server/src", "$root/vendor/brick/math/src"] as $room) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($room, FilesystemIterator::SKIP_DOTS)) as $file) {
        $isCode = $file instanceof SplFileInfo && $file->getExtension() === 'php';
        if ($isCode && !in_array($file->getPathname(), get_included_files(), true)) {
            opcache_compile_file($file->getPathname());
        }
    }
}
