<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Tests\ApiCase;

/** What helps a student: given by a teacher, kept private, there in every piece of work. */
final class SupportTest extends ApiCase
{
    private StudentUser $ada;
    private string $path;
    /** a paper with one question of four options */
    private string $paper;
    private string $edition;

    protected function setUp(): void
    {
        parent::setUp();
        $this->ada = $this->world->students['Ada Okafor'];
        $this->path = "/classes/{$this->world->classId}/students/{$this->ada->id}/support";
        $option = static fn (string $id): array => ['id' => $id, 'text' => "<p>$id</p>", 'key' => $id === 'b', 'feedback' => ''];
        $item = ['type' => 'choice', 'rule' => ['options' => array_map($option, ['a', 'b', 'c', 'd'])]] + $this->world->itemDocuments()['choice'];
        $question = $this->as($this->world->teacher)->get('POST', '/items', ['item' => $item])->text('id');
        $this->paper = $this->get('POST', '/papers', ['paper' => ['version' => 1, 'title' => 'One', 'sections' => [
            ['id' => 's1', 'title' => 'One', 'route' => null, 'entries' => [
                ['id' => 'e1', 'kind' => 'question', 'item' => $question, 'points' => '1'],
            ]],
        ]]])->text('id');
        $this->edition = $this->get('POST', "/papers/$this->paper/publish", ['version' => 1])->text('editionId');
    }

    public function testItIsGivenAndTakenBackAndTheTrailSaysNotWhat(): void
    {
        $roster = $this->as($this->world->teacher)->get('PUT', $this->path, ['largerText' => true, 'fewerOptions' => 1]);
        $of = array_column((array) $roster->at('students'), 'support', 'name');
        self::assertSame(
            [
                'readAloud' => false,
                'largerText' => true,
                'lineFocus' => false,
                'wordNotes' => false,
                'fewerOptions' => 1,
                'extraTime' => 0,
            ],
            $of['Ada Okafor'],
        );
        self::assertNull($of['Cleo Marsh']);
        self::assertSame(['Ada Okafor'], $this->get('GET', '/classes/supported')->column('students', 'name'));
        $trail = (string) $this->ask('GET', '/trail')->getContent();
        self::assertStringContainsString('change support', $trail);
        self::assertStringNotContainsString('arger', $trail);
        $this->get('PUT', $this->path, []);
        self::assertSame([], $this->get('GET', '/classes/supported')->at('students'));
        $this->refused(422, 'PUT', $this->path, ['fewerOptions' => 3]);
    }

    public function testAStudentsDeviceHasItInEveryPieceOfWorkAndNobodyElsesHas(): void
    {
        $this->as($this->world->teacher)->get('PUT', $this->path, ['readAloud' => true, 'wordNotes' => true]);
        $handout = $this->world->handOut();
        $own = $this->as($this->ada)->get('POST', "/me/handouts/$handout/open");
        self::assertSame(
            ['readAloud' => true, 'largerText' => false, 'lineFocus' => false, 'wordNotes' => true],
            $own->at('support'),
        );
        self::assertNull($this->as($this->world->students['Cleo Marsh'])->get('POST', "/me/handouts/$handout/open")->at('support'));
        // Given meanwhile, it is there at the next look.
        $this->as($this->world->teacher)->get('PUT', $this->path, ['lineFocus' => true]);
        self::assertTrue($this->as($this->ada)->get('GET', '/me/sittings/'.$own->text('id'))->at('support.lineFocus'));
    }

    public function testAQuestionKeepsItsOptionsAndTheResultsSayThatTheyWereFewer(): void
    {
        $this->as($this->world->teacher)->get('PUT', $this->path, ['fewerOptions' => 1]);
        $handout = $this->world->handOut([], $this->edition);
        $id = $this->as($this->ada)->get('POST', "/me/handouts/$handout/open")->text('id');
        self::assertSame(3, $this->options($id));
        $cleo = $this->as($this->world->students['Cleo Marsh'])->get('POST', "/me/handouts/$handout/open")->text('id');
        self::assertSame(4, $this->options($cleo));

        $this->as($this->world->teacher)->get('PUT', $this->path, []);
        self::assertSame(3, $this->as($this->ada)->options($id), 'work that is begun stays as it is');
        $this->get('POST', "/me/sittings/$id/hand-in", ['visit' => 1]);
        $results = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");
        self::assertSame([1], $results->column('students', 'fewerOptions'));
    }

    public function testAPreviewIsSeenAsAStudentWithTheirSupportAndOfTheOwnTeamAlone(): void
    {
        $this->as($this->world->teacher)->get('PUT', $this->path, ['largerText' => true, 'fewerOptions' => 1]);
        $preview = fn (?string $student): \ChalkLadder\Server\Tests\Json => $this->get(
            'POST',
            "/papers/$this->paper/preview",
            ['student' => $student],
        );
        $options = static fn (\ChalkLadder\Server\Tests\Json $view): int => count((array) $view->at('steps.0.face.options'));
        self::assertTrue($preview($this->ada->id)->at('support.largerText'));
        self::assertNull($preview(null)->at('support'));
        self::assertSame($options($preview(null)) - 1, $options($preview($this->ada->id)));
        self::assertNull($preview('nobody')->at('support'));
        $this->as($this->world->stranger);
        $paper = $this->get('POST', '/papers', ['paper' => $this->world->paperDocument()])->text('id');
        self::assertNull($this->get('POST', "/papers/$paper/preview", ['student' => $this->ada->id])->at('support'));
    }

    public function testNobodyGivesItInAnotherTeam(): void
    {
        $this->as($this->world->stranger)->refused(404, 'PUT', $this->path, ['readAloud' => true]);
        $this->as($this->world->marker)->refused(403, 'GET', '/classes/supported');
    }

    private function options(string $sitting): int
    {
        return count((array) $this->get('GET', "/me/sittings/$sitting")->at('steps.0.face.options'));
    }
}
