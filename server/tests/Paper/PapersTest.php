<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Paper;

use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

final class PapersTest extends ApiCase
{
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path = '/papers/'.$this->world->paperId;
        $this->as($this->world->teacher);
    }

    public function testTheListTellsSizeEditionAndUse(): void
    {
        $this->world->handOut();
        $row = $this->get('GET', '/papers')->list('papers')[0];

        self::assertSame('Heights of tide', $row->text('title'));
        self::assertSame([2, 4, 1, 1], [$row->int('sections'), $row->int('questions'), $row->int('edition'), $row->int('handouts')]);
        self::assertFalse($row->at('ahead'));
        $this->get('PUT', $this->path, ['paper' => ['title' => 'Heights'] + $this->world->paperDocument(), 'version' => 1]);
        $row = $this->get('GET', '/papers')->list('papers')[0];
        self::assertSame(['Heights', true, 'Teacher'], [$row->text('title'), $row->at('ahead'), $row->text('updatedBy')]);
    }

    public function testSourcesAreKnownByTitleAndFirstWordsWithThePaperThatHoldsThem(): void
    {
        $log = ['id' => 'log', 'kind' => 'source', 'source' => [
            'title' => 'The pilot’s log', 'html' => '<p>We lay <b>off</b> the bar &amp; waited.</p>', 'picture' => null, 'alt' => '',
        ]];
        $sections = [['id' => 's1', 'title' => 'To read', 'entries' => [$log], 'route' => null]];
        $this->get('PUT', $this->path, ['paper' => ['sections' => $sections] + $this->world->paperDocument(), 'version' => 1]);
        $sources = $this->get('GET', '/sources')->list('sources');
        self::assertCount(1, $sources);
        self::assertSame(
            [$this->world->paperId, 'Heights of tide', 'log', 'The pilot’s log', 'We lay off the bar & waited.', false],
            array_map($sources[0]->at(...), ['paperId', 'paper', 'entryId', 'title', 'begins', 'hasPicture']),
        );
        $this->get('DELETE', $this->path);
        self::assertCount(0, $this->get('GET', '/sources')->list('sources'));
    }

    public function testEachEditionSaysWhatItChangedAndTheDraftWhatItWould(): void
    {
        $editions = $this->get('GET', "$this->path/editions");
        self::assertSame([[], null], [$editions->at('draft'), $editions->at('editions.0.differences')]);
        $text = ['prompt' => '<p>Name another bank.</p>'] + $this->world->itemDocuments()['text'];
        $this->get('PUT', '/items/'.$this->world->items['text'], ['item' => $text, 'version' => 1]);
        $paper = ['title' => 'Depths'] + $this->world->paperDocument();
        $this->get('PUT', $this->path, ['paper' => $paper, 'version' => 1]);
        $says = ['It was called “Heights of tide”.', '“A text question”: another wording.'];
        self::assertSame($says, $this->get('GET', "$this->path/editions")->column('draft', 'says'));

        $this->get('POST', "$this->path/publish", ['version' => 2]);
        $editions = $this->get('GET', "$this->path/editions");
        self::assertSame([], $editions->at('draft'));
        self::assertSame([[2, 'Teacher'], [1, 'Lead']], array_map(
            static fn (Json $e): array => [$e->int('number'), $e->text('madeBy')],
            $editions->list('editions'),
        ));
        self::assertSame($says, $editions->column('editions.0.differences', 'says'));
        self::assertSame(['', 'e-text'], $editions->column('editions.0.differences', 'where'));
    }

    public function testAnEditionStaysAsItWasWhenDraftAndBankMoveOn(): void
    {
        $handout = $this->world->handOut();
        $text = ['prompt' => '<p>Name another bank.</p>'] + $this->world->itemDocuments()['text'];
        $this->get('PUT', '/items/'.$this->world->items['text'], ['item' => $text, 'version' => 1]);
        $this->get('PUT', $this->path, ['paper' => ['title' => 'Other'] + $this->world->paperDocument(), 'version' => 1]);
        self::assertSame(2, $this->get('POST', "$this->path/publish", ['version' => 2])->int('edition'));

        $view = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open");
        self::assertSame('Heights of tide', $view->text('title'));
        self::assertSame('<p>Name the bank.</p>', $view->text('steps.1.face.prompt'));
    }

    public function testPublishingTakesTheVersionThatWasOnTheScreen(): void
    {
        $this->get('PUT', $this->path, ['paper' => $this->world->paperDocument(), 'version' => 1]);
        $problem = $this->refused(409, 'POST', "$this->path/publish", ['version' => 1]);
        self::assertStringContainsString('Teacher saved it', $problem->text('detail'));
        self::assertSame(2, $problem->int('version'));
    }

    public function testTheProofCountsOverAllRoutes(): void
    {
        $proof = $this->get(
            'PUT',
            $this->path,
            ['paper' => $this->world->paperDocument(['below' => '1/2', 'then' => 's2', 'else' => 'end']), 'version' => 1],
        );

        self::assertTrue($proof->at('proof.mayPublish'));
        self::assertSame(
            ['3', '9', 2, 4],
            [
                $proof->at('proof.leastPoints'),
                $proof->at('proof.mostPoints'),
                $proof->at('proof.leastQuestions'),
                $proof->at('proof.mostQuestions'),
            ],
        );
    }

    public function testEachDefectSaysWhatAndWhere(): void
    {
        $paper = $this->world->paperDocument(['below' => '1/2', 'then' => 's9', 'else' => 'end']);
        self::assertIsArray($paper['sections']);
        $paper['sections'][] = [
            'id' => 's3',
            'title' => 'Harbour',
            'entries' => [['id' => 'gone', 'kind' => 'question', 'item' => '01900000-0000-7000-8000-000000000000', 'points' => '0']],
            'route' => null,
        ];
        $defects = $this->get('PUT', $this->path, ['paper' => ['title' => ' '] + $paper, 'version' => 1])->list('proof.defects');
        $said = array_map(static fn ($d): string => $d->text('message'), $defects);

        self::assertContains('The paper has no title.', $said);
        self::assertContains('This question is no longer in the bank.', $said);
        self::assertContains('The route after "First look" leads to a section that does not exist.', $said);
        self::assertContains('Section "Harbour" is never reached.', $said);
        $problem = $this->refused(422, 'POST', "$this->path/publish", ['version' => 2]);
        self::assertFalse($problem->at('proof.mayPublish'));
        self::assertContains($problem->text('detail'), $said, 'the first that blocks is told');
    }

    public function testADraftMayNameQuestionsThatAreNone(): void
    {
        $paper = json_encode($this->world->paperDocument(), JSON_THROW_ON_ERROR);
        foreach (["\u{FEFF}", 'abc', '', '{', $this->world->items['text']] as $item) {
            $draft = json_decode(str_replace('"'.$this->world->items['choice'].'"', (string) json_encode($item), $paper), true);
            $version = $this->get('GET', $this->path)->int('version');
            $status = $this->ask('PUT', $this->path, ['paper' => $draft, 'version' => $version])->getStatusCode();
            self::assertContains($status, [200, 400, 422], $item);
        }
    }

    public function testPicturesOfOtherTeamsAndHostileSourcesDoNotComeIn(): void
    {
        $foreign = $this->world->get(Files::class)->store($this->world->stranger->teamId, 'image/png', 'x.png', 'x');
        $own = $this->world->get(Files::class)->store($this->world->teacher->teamId, 'image/png', 'x.png', 'x');
        $paper = $this->world->paperDocument();
        self::assertIsArray($paper['sections']);
        $with = static function (string $picture) use ($paper): array {
            $paper['sections'][] = [
                'id' => 's3',
                'title' => 'Chart',
                'entries' => [[
                    'id' => 'chart',
                    'kind' => 'source',
                    'source' => ['title' => 'Chart', 'html' => '<p>See<script>x()</script> <mark data-note="here" onclick="x()">it</mark></p>', 'picture' => $picture, 'alt' => 'A chart'],
                ]],
                'route' => null,
            ];

            return $paper;
        };
        foreach ([$foreign, "\u{FEFF}", 'abc'] as $picture) {
            $this->refused(422, 'PUT', $this->path, ['paper' => $with($picture), 'version' => 1]);
        }
        $saved = $this->get('PUT', $this->path, ['paper' => $with($own), 'version' => 1]);
        self::assertSame(
            '<p>See <mark data-note="here">it</mark></p>',
            $saved->text('paper.sections.2.entries.0.source.html'),
        );
        $this->get('POST', "$this->path/publish", ['version' => 2]);

        $ada = $this->world->students['Ada Okafor'];
        $this->as($ada)->refused(404, 'GET', "/me/files/$own");
        $edition = $this->as($this->world->teacher)->get('GET', $this->path)->text('editionId');
        $this->world->handOut([], $edition);
        self::assertSame(
            200,
            $this->as($ada)->ask('GET', "/me/files/$own")->getStatusCode(),
            'a picture is shown to those whose paper holds it',
        );
    }

    public function testWhatABoardWasDrawnOnReachesNoStudent(): void
    {
        $files = $this->world->get(Files::class);
        [$made, $under] = array_map(
            fn (string $bytes): string => $files->store($this->world->teacher->teamId, 'image/png', "$bytes.png", $bytes),
            ['made', 'under'],
        );
        $foreign = $files->store($this->world->stranger->teamId, 'image/png', 'z.png', 'z');
        $with = fn (string $file): array => ['sections' => [['id' => 's1', 'title' => 'Board', 'route' => null, 'entries' => [
            ['id' => 'board', 'kind' => 'source', 'source' => [
                'title' => 'A board', 'html' => '', 'picture' => $made, 'alt' => 'A chart, partly covered', 'link' => 'https://harbour.example/a',
                'pieces' => [['text' => 'buoy', 'copies' => 2]],
                'board' => ['ground' => 'picture', 'picture' => ['file' => $file, 'width' => 9, 'height' => 9, 'alt' => ''], 'strokes' => [
                    ['tool' => 'words', 'colour' => 0, 'width' => 30, 'at' => 0, 'points' => '5 5 0', 'text' => 'SECRET'],
                ]],
            ]],
            ['id' => 'e-text', 'kind' => 'question', 'item' => $this->world->items['text'], 'points' => '2'],
        ]]]] + $this->world->paperDocument();
        $this->refused(422, 'PUT', $this->path, ['paper' => $with($foreign), 'version' => 1]);
        $this->get('PUT', $this->path, ['paper' => $with($under), 'version' => 1]);
        $edition = $this->get('POST', "$this->path/publish", ['version' => 2])->text('editionId');
        $handout = $this->world->handOut([], $edition);

        $opened = (string) $this->as($this->world->students['Ada Okafor'])->ask('POST', "/me/handouts/$handout/open")->getContent();
        self::assertStringContainsString('harbour.example', $opened);
        self::assertStringNotContainsString($under, $opened);
        self::assertStringNotContainsString('SECRET', $opened);
        self::assertSame([['text' => 'buoy', 'copies' => 2]], Json::of($opened)->at('sources.0.pieces'));
        self::assertSame(200, $this->ask('GET', "/me/files/$made")->getStatusCode());
        $this->refused(404, 'GET', "/me/files/$under");
    }

    public function testASoundIsHeardBesideItsQuestionsByThoseWhosePaperHoldsItAndIsNotPrinted(): void
    {
        $files = $this->world->get(Files::class);
        $sound = $files->store($this->world->teacher->teamId, 'audio/ogg', 'boat.ogg', 'OggS');
        $foreign = $files->store($this->world->stranger->teamId, 'audio/ogg', 'other.ogg', 'OggX');
        $with = fn (string $file): array => ['sections' => [['id' => 's1', 'title' => 'On the radio', 'route' => null, 'entries' => [
            ['id' => 'boat', 'kind' => 'source', 'source' => ['title' => 'The pilot boat', 'html' => '', 'picture' => null, 'file' => $file]],
            ['id' => 'e-text', 'kind' => 'question', 'item' => $this->world->items['text'], 'points' => '2'],
        ]]]] + $this->world->paperDocument();
        $this->refused(422, 'PUT', $this->path, ['paper' => $with($foreign), 'version' => 1]);
        $this->get('PUT', $this->path, ['paper' => $with($sound), 'version' => 1]);
        $edition = $this->get('POST', "$this->path/publish", ['version' => 2])->text('editionId');

        $ada = $this->world->students['Ada Okafor'];
        $this->as($ada)->refused(404, 'GET', "/me/files/$sound");
        $handout = $this->world->handOut([], $edition);
        $view = $this->as($ada)->get('POST', "/me/handouts/$handout/open");
        self::assertSame([$sound, ['boat']], [$view->text('sources.0.file'), $view->at('steps.1.beside')]);
        self::assertSame(200, $this->ask('GET', "/me/files/$sound")->getStatusCode());
        self::assertSame('sound', $this->get('GET', "/me/files?ids=$sound")->text('files.0.kind'));
        self::assertSame([], $files->printed($this->world->teacher->teamId, $sound));
    }

    public function testAPaperPutAwayComesBack(): void
    {
        $this->get('DELETE', $this->path);
        self::assertSame([], $this->get('GET', '/papers')->list('papers'));
        $this->get('POST', "$this->path/restore");
        self::assertCount(1, $this->get('GET', '/papers')->list('papers'));
        self::assertSame(
            ['archive', 'restore'],
            array_map(
                static fn ($r): string => $r->text('act'),
                $this->tables->rows(
                    "SELECT act FROM trail WHERE subject_id = :id AND act IN ('archive', 'restore') ORDER BY at, act",
                    ['id' => $this->world->paperId],
                ),
            ),
        );
    }

    public function testThePreviewAnswersAsAStudentWouldAndKeepsNothing(): void
    {
        $this->get(
            'PUT',
            $this->path,
            ['paper' => $this->world->paperDocument(['below' => '1/2', 'then' => 'end', 'else' => 's2']), 'version' => 1],
        );
        $start = $this->get('POST', "$this->path/preview", []);
        self::assertSame(['e-choice', 'e-text'], $start->column('steps', 'entry'));
        $named = array_combine(['a', 'b'], array_map(static fn (Json $o): string => $o->text('id'), $start->list('steps.0.face.options')));
        $save = static fn (string $option): array => [
            'entry' => 'e-choice',
            'try' => 1,
            'value' => ['options' => [$named[$option]]],
            'counter' => 1,
            'clientId' => 'p',
        ];
        $settled = $this->get('POST', "$this->path/preview", [
            'feedback' => Plan::AT_ONCE, 'saves' => [$save('b')], 'settled' => [['entry' => 'e-choice', 'try' => 1]],
        ]);
        self::assertSame('SECRET feedback', $settled->text('steps.0.told.feedback'));
        self::assertTrue($this->get('POST', "$this->path/preview", ['saves' => [$save('b')], 'left' => 1])->at('ended'));
        $text = ['entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'secretrock'], 'counter' => 1, 'clientId' => 'p'];
        $further = $this->get('POST', "$this->path/preview", ['saves' => [$save('a'), $text], 'left' => 1]);
        self::assertSame(['e-choice', 'e-text', 'e-number', 'e-open'], $further->column('steps', 'entry'));
        $this->refused(422, 'POST', "$this->path/preview", ['feedback' => 'whenever']);
        self::assertNull($this->tables->row('SELECT 1 FROM sitting'));
    }
}
