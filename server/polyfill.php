<?php

declare(strict_types=1);

// The two functions of PHP 8.5 that Symfony 7.4 calls. Its polyfill package is
// not in every registry; composer.json replaces it and this file supplies them.

if (!function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(null);
        restore_error_handler();

        return $handler;
    }
}

if (!function_exists('get_exception_handler')) {
    function get_exception_handler(): ?callable
    {
        $handler = set_exception_handler(null);
        restore_exception_handler();

        return $handler;
    }
}
