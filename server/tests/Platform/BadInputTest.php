<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Tests\ApiCase;

final class BadInputTest extends ApiCase
{
    public function testBadBodiesGetAProblemDocumentAndStoreNothing(): void
    {
        $handout = $this->world->handOut();
        $this->as($this->world->teacher);
        $cases = [
            ['POST', '/items', '{'], ['POST', '/items', '[]'], ['POST', '/items', ['item' => 'x']], [
                'POST',
                '/items',
                ['item' => ['type' => 'riddle']],
            ],
            ['POST', '/papers', ['paper' => ['version' => 9]]], ['POST', '/classes', ['name' => ' ']], [
                'POST',
                '/classes',
                ['name' => str_repeat('x', 61)],
            ], ['POST', '/classes', ['name' => ['a']]],
            ['POST', '/handouts', ['editionId' => 'x']], [
                'POST',
                '/handouts',
                [
                    'editionId' => $this->world->editionId,
                    'classes' => ['01900000-0000-7000-8000-000000000000'],
                    'requestId' => '01900000-0000-7000-8000-000000000000',
                ],
            ],
            ['PUT', '/marks', ['sittingId' => 'x']], [
                'POST',
                "/handouts/$handout/keys/e-choice",
                ['accept' => []],
            ], ['POST', "/handouts/$handout/keys/e-open", ['rule' => []]],
            ['POST', '/bank/skills', ['name' => '']], ['POST', "/handouts/$handout/groupings", ['name' => 'x', 'groups' => []]],
        ];
        foreach ($cases as [$method, $path, $body]) {
            $response = $this->ask($method, $path, $body);
            self::assertContains($response->getStatusCode(), [400, 409, 422], "$method $path gave {$response->getStatusCode()}");
            self::assertSame('application/problem+json', $response->headers->get('Content-Type'));
            self::assertStringNotContainsString('Stack trace', (string) $response->getContent());
        }
        self::assertSame(1, $this->tables->row('SELECT count(*) AS n FROM handout')?->int('n'));
    }

    public function testHostileMarkupIsDroppedBeforeItIsStored(): void
    {
        $item = ['prompt' => '<p onclick="x()">A <b>bold</b> <strong>word</strong><script>alert(1)</script><img src=x onerror=alert(1)><span data-math="x^2"></span></p>'] + $this->world->itemDocuments()['text'];
        $prompt = $this->as($this->world->teacher)->get('POST', '/items', ['item' => $item])->text('item.prompt');

        self::assertStringContainsString('<strong>word</strong>', $prompt);
        self::assertStringContainsString('data-math="x^2"', $prompt);
        self::assertDoesNotMatchRegularExpression('/script|onclick|onerror|<img/', $prompt);
    }

    public function testAStaleSaveChangesNothingAndADoubleHandOutIsOne(): void
    {
        $this->as($this->world->teacher);
        $path = '/papers/'.$this->world->paperId;
        $this->get('PUT', $path, ['paper' => ['title' => 'Newer'] + $this->world->paperDocument(), 'version' => 1]);
        $this->refused(409, 'PUT', $path, ['paper' => ['title' => 'Older'] + $this->world->paperDocument(), 'version' => 1]);
        self::assertSame('Newer', $this->get('GET', $path)->text('paper.title'));
        $body = [
            'editionId' => $this->world->editionId,
            'classes' => [$this->world->classId],
            'conditions' => (object) [],
            'requestId' => '01900000-0000-7000-8000-000000000001',
        ];
        self::assertSame($this->get('POST', '/handouts', $body)->text('id'), $this->get('POST', '/handouts', $body)->text('id'));
    }

    public function testADraftWithDefectsIsNotPublished(): void
    {
        $this->as($this->world->teacher);
        $loop = $this->world->paperDocument(['below' => '1/2', 'then' => 's1', 'else' => 's2']);
        $saved = $this->get('PUT', '/papers/'.$this->world->paperId, ['paper' => $loop, 'version' => 1]);
        self::assertFalse($saved->at('proof.mayPublish'));
        $this->refused(422, 'POST', '/papers/'.$this->world->paperId.'/publish', ['version' => 2]);
    }
}
