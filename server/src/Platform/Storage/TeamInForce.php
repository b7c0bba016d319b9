<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\Bundle\DoctrineBundle\ManagerConfigurator;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\VarExporter\LazyObjectInterface;

/**
 * The team whose entities alone are there ({@see TeamFilter}). Many requests need no entity: an entity manager that nobody has asked
 * for yet is not made for this, but told when it is.
 */
#[AsDecorator('doctrine.orm.default_manager_configurator')]
final class TeamInForce
{
    private ?string $team = null;

    /** @var \WeakMap<EntityManagerInterface, true> those that have been made */
    private readonly \WeakMap $made;

    public function __construct(#[AutowireDecorated] private readonly ManagerConfigurator $inner)
    {
        $this->made = new \WeakMap();
    }

    /** Called with each entity manager as it is made. */
    public function configure(EntityManagerInterface $entities): void
    {
        $this->inner->configure($entities);
        $this->made[$entities] = true;
        $this->tell($entities);
    }

    public function become(?string $team): void
    {
        $this->team = $team;
        foreach ($this->made as $entities => $_) {
            // One that was reset is told when it is made anew.
            if (!$entities instanceof LazyObjectInterface || $entities->isLazyObjectInitialized()) {
                $this->tell($entities);
            }
        }
    }

    private function tell(EntityManagerInterface $entities): void
    {
        $filters = $entities->getFilters();
        if ($this->team !== null) {
            $filters->enable(TeamFilter::NAME)->setParameter('team', $this->team);
        } elseif ($filters->isEnabled(TeamFilter::NAME)) {
            $filters->disable(TeamFilter::NAME);
        }
    }
}
