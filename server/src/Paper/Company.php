<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Api\View\HereView;
use ChalkLadder\Server\Paper\Api\View\VisitorView;
use ChalkLadder\Server\Paper\ReadModel\Visits;
use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\Clock\ClockInterface;

/** Colleagues at the same paper see each other. */
final readonly class Company
{
    public function __construct(private Visits $visits, private ClockInterface $clock)
    {
    }

    public function here(StaffUser $who, string $paperId, string $part): HereView
    {
        $here = $this->visits->here($who, $paperId, $part, $this->clock->now()) ?? throw Problem::notFound('The paper');

        return new HereView($here['version'], array_map(
            static fn (array $o): VisitorView => new VisitorView($o['name'], $o['part']),
            $here['others'],
        ));
    }
}
