<?php

declare(strict_types=1);

namespace ChalkLadder\Server;

use ChalkLadder\Server\Platform\Http\LeaveOut;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    protected function build(ContainerBuilder $container): void
    {
        $container->addCompilerPass(new LeaveOut());
    }

    public function getProjectDir(): string
    {
        return dirname(__DIR__, 2);
    }

    public function getConfigDir(): string
    {
        return dirname(__DIR__).'/config';
    }

    public function getCacheDir(): string
    {
        return $this->stateDir().'/cache/'.$this->environment;
    }

    public function getLogDir(): string
    {
        return $this->stateDir().'/log';
    }

    /** Everything that a run leaves behind lies under one folder, so that tests and a running server do not share it. */
    private function stateDir(): string
    {
        $dir = $_SERVER['CHALK_STATE'] ?? $_ENV['CHALK_STATE'] ?? null;

        return is_string($dir) && $dir !== '' ? $dir : $this->getProjectDir().'/var';
    }
}
