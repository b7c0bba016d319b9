<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Tests\ApiCase;

final class TeamSettingsTest extends ApiCase
{
    private const RUNGS = [['name' => 'shore', 'from' => 0], ['name' => ' open sea', 'from' => 40]];

    public function testRungsAreTheTeamsToNameAndResultsAreReadByThem(): void
    {
        $handout = $this->world->handOut();
        $this->as($this->world->lead);
        self::assertSame(['footing', 'climbing', 'clear'], $this->get('GET', "/handouts/$handout/results")->column('rungs', 'name'));
        $set = $this->get('PUT', '/account/team', ['rungs' => self::RUNGS]);
        self::assertSame([['shore', 'open sea'], [0, 40], '1/2'], [
            $set->column('rungs', 'name'), $set->column('rungs', 'from'), $set->text('markStep'),
        ]);
        self::assertSame(['shore', 'open sea'], $this->get('GET', "/handouts/$handout/results")->column('rungs', 'name'));
        self::assertSame(['shore', 'open sea'], $this->get('GET', '/bank/terms')->at('rungs'));
        self::assertSame('set the rungs of', $this->get('GET', '/trail')->text('lines.0.did'));
        $this->as($this->world->stranger);
        self::assertSame(['footing', 'climbing', 'clear'], $this->get('GET', '/account')->column('rungs', 'name'), 'another team keeps its own');
    }

    public function testRungsThatCannotBeAreRefusedInWordsAndNothingIsSet(): void
    {
        $this->as($this->world->lead);
        $bad = ['markStep' => '1/10', 'rungs' => [self::RUNGS[0], ['name' => 'deep', 'from' => 0]]];
        $refusal = $this->refused(422, 'PUT', '/account/team', $bad);
        self::assertSame('“deep” begins above the rung below it: at more than 0 %.', $refusal->text('fields.rungs'));
        self::assertSame('1/2', $this->get('GET', '/account')->text('markStep'));
        $this->refused(422, 'PUT', '/account/team', ['rungs' => [['name' => ['x'], 'from' => 'y']]]);
    }
}
