<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;

/** Listeners of the framework for what is not used here; each would be made and called in every request (docs/performance.md). */
final class LeaveOut implements CompilerPassInterface
{
    private const UNUSED = [
        // Attributes that no controller has.
        'controller.cache_attribute_listener',
        'controller.is_signature_valid_attribute_listener',
        // Languages: the server speaks one.
        'locale_listener',
        'locale_aware_listener',
    ];

    public function process(ContainerBuilder $container): void
    {
        foreach (self::UNUSED as $id) {
            if ($container->hasDefinition($id)) {
                $container->removeDefinition($id);
            }
        }
    }
}
