<?php

declare(strict_types=1);

// What the framework itself takes for a request: routing to one controller and nothing else, no firewall, no database, nothing of ours.

use Symfony\Bundle\FrameworkBundle\FrameworkBundle;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\Loader\Configurator\ContainerConfigurator;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Kernel;
use Symfony\Component\Routing\Loader\Configurator\RoutingConfigurator;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$kernel = new class('prod', false) extends Kernel {
    use MicroKernelTrait;

    public function registerBundles(): iterable
    {
        yield new FrameworkBundle();
    }

    public function getProjectDir(): string
    {
        return __DIR__;
    }

    public function getCacheDir(): string
    {
        return $_SERVER['CHALK_STATE'].'/cache/floor';
    }

    public function getLogDir(): string
    {
        return $_SERVER['CHALK_STATE'].'/log';
    }

    public function answer(): JsonResponse
    {
        return new JsonResponse(['name' => 'Ada Lind']);
    }

    protected function getContainerClass(): string
    {
        return 'FloorContainer';
    }

    protected function configureContainer(ContainerConfigurator $container): void
    {
        $container->extension('framework', [
            'secret' => 'none',
            'secrets' => false,
            'http_method_override' => false,
            'handle_all_throwables' => true,
            'php_errors' => ['log' => true],
        ]);
    }

    protected function configureRoutes(RoutingConfigurator $routes): void
    {
        $routes->add('floor', '/floor')->controller('kernel::answer');
    }
};
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
