<?php

declare(strict_types=1);

use ChalkLadder\Server\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArgvInput;

require dirname(__DIR__).'/vendor/autoload.php';

$environment = $_SERVER['APP_ENV'] ?? 'prod';
$application = new Application(new Kernel(is_string($environment) ? $environment : 'prod', false));
$application->run(new ArgvInput());
