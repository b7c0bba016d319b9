<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Paper\Entity\Paper;
use ChalkLadder\Server\Platform\Storage\TeamInForce;
use ChalkLadder\Server\Tests\ApiCase;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\VarExporter\LazyObjectInterface;

/** The second lock between teams holds whether or not somebody has needed an entity before it is turned. */
final class TeamLockTest extends ApiCase
{
    #[TestWith([true])]
    #[TestWith([false])]
    public function testEntitiesOfOtherTeamsAreNotThere(bool $needed): void
    {
        $paper = $this->world->paperId;
        $entities = $this->fresh();
        if ($needed) {
            self::assertNotNull($entities->find(Paper::class, $paper), 'nobody is signed in');
            $entities->clear();
        }
        self::assertInstanceOf(LazyObjectInterface::class, $entities);
        self::assertSame($needed, $entities->isLazyObjectInitialized());
        $force = self::service(TeamInForce::class);
        $force->become($this->world->stranger->teamId);
        self::assertSame($needed, $entities->isLazyObjectInitialized(), 'nothing is made for the lock alone');
        self::assertNull($entities->find(Paper::class, $paper));
        $force->become($this->world->teacher->teamId);
        self::assertNotNull($entities->find(Paper::class, $paper));
        $entities->clear();
        $force->become(null);
        self::assertNotNull($entities->find(Paper::class, $paper));
    }

    public function testIsTurnedByARequestAndOpenAfterIt(): void
    {
        $entities = self::service(EntityManagerInterface::class);
        $this->as($this->world->teacher)->get('GET', '/papers/'.$this->world->paperId);
        self::assertFalse($entities->getFilters()->isEnabled('team'));
        $this->as($this->world->stranger)->refused(404, 'GET', '/papers/'.$this->world->paperId);
    }

    private function fresh(): EntityManagerInterface
    {
        self::service(ManagerRegistry::class)->resetManager();

        return self::service(EntityManagerInterface::class);
    }
}
