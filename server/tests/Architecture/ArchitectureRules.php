<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The house's rules (docs/architecture.md), enforced by PHPStan. */
final class ArchitectureRules
{
    /** Arrows run down this list, never up: a room may use those before it. */
    private const CORE = ['Document', 'Formula', 'Item', 'Paper', 'Sitting', 'Marking', 'Analysis', 'PairReading', 'Grouping'];
    private const SERVER = [
        'Platform',
        'Identity',
        'Media',
        'Roster',
        'Bank',
        'Peers',
        'Paper',
        'Handout',
        'Sitting',
        'Lookout',
        'Marking',
        'Results',
        'Regroup',
        'Exchange',
    ];

    #[TestRule]
    public function coreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('ChalkLadder\Core'))
            ->excluding(Selector::inNamespace('ChalkLadder\Core\Tests'))
            ->canOnly()->dependOn()
            ->classes(Selector::inNamespace('ChalkLadder\Core'), Selector::inNamespace('Brick\Math'), Selector::inNamespace('Random'))
            ->because('the rules of the job are plain PHP');
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function coreArrowsRunOneWay(): iterable
    {
        yield from self::oneWay('ChalkLadder\Core', self::CORE);
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function serverArrowsRunOneWay(): iterable
    {
        yield from self::oneWay('ChalkLadder\Server', self::SERVER);
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function entitiesAndRepositoriesStayAtHome(): iterable
    {
        foreach (array_slice(self::SERVER, 1) as $room) {
            $others = array_values(array_diff(self::SERVER, [$room]));
            yield PHPat::rule()
                ->classes(...array_map(static fn (string $r) => Selector::inNamespace("ChalkLadder\\Server\\$r"), $others))
                ->excluding(Selector::inNamespace('ChalkLadder\Server\Tests'))
                ->shouldNot()->dependOn()
                ->classes(
                    Selector::inNamespace("ChalkLadder\\Server\\$room\\Entity"),
                    Selector::inNamespace("ChalkLadder\\Server\\$room\\Repository"),
                )
                ->because("what $room keeps is reached through its services and read models");
        }
    }

    #[TestRule]
    public function onlyReadModelsAndStorageSpeakWithTheConnection(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('ChalkLadder\Server'))
            ->excluding(
                Selector::classname('/\\\\ReadModel\\\\/', true),
                Selector::inNamespace('ChalkLadder\Server\Platform\Storage'),
                Selector::inNamespace('ChalkLadder\Server\Tests'),
            )
            ->shouldNot()->dependOn()
            ->classes(Selector::classname('Doctrine\DBAL\Connection'), Selector::classname('ChalkLadder\Server\Platform\Storage\ReadModel'))
            ->because('SQL stands in ReadModel');
    }

    #[TestRule]
    public function controllersHoldNoRules(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::classname('/Controller$/', true))
            ->shouldNot()->dependOn()
            ->classes(
                Selector::classname('/\\\\(Entity|Repository)\\\\/', true),
                Selector::classname('Doctrine\ORM\EntityManagerInterface'),
            )
            ->because('controllers hand on; services decide');
    }

    #[TestRule]
    public function serverKnowsNoDemo(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('ChalkLadder\Server'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('ChalkLadder\Demo'))
            ->because('the demo is a guest');
    }

    /**
     * @param list<string> $rooms
     *
     * @return iterable<Rule>
     */
    private static function oneWay(string $house, array $rooms): iterable
    {
        foreach ($rooms as $i => $room) {
            $above = array_slice($rooms, $i + 1);
            if ($above !== []) {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace("$house\\$room"))
                    ->shouldNot()->dependOn()
                    ->classes(...array_map(static fn (string $r) => Selector::inNamespace("$house\\$r"), $above))
                    ->because("arrows run one way: $room does not know what stands above it");
            }
        }
    }
}
