import type { Messages } from '~/core/words/message';

export const shared: Messages = {
  'caution.small':
    'Peças pequenas: deixem longe de crianças com menos de {years} anos. Contem tudo ao guardar na sacola.',
  'caution.rest':
    'Parem enquanto ainda está divertido. Criança cansada aprende pouco; joguem de novo amanhã.',
  'caution.floor':
    'Colem tudo no chão com fita em todos os lados e joguem descalços ou de sapatos: meia escorrega.',
  'caution.outside':
    'Joguem longe de garagens, carros estacionados e ruas, com um adulto por perto. Usem sapatos e olhem onde vão pisar.',
  'caution.throw':
    'Esperem até que não haja ninguém na frente. Rolem ou joguem baixo, nunca em direção a uma pessoa.',
  'setUp.highest':
    'Cada participante joga o dado uma vez: começa quem tirar mais. Deu igual? Joguem de novo.',
  'turn.lineHop':
    'Pulem também na reta numérica: comecem no {a}, pulem {b} para a frente e leiam onde pararam: {answer}.',
  'turn.lineBack':
    'Pulem também na reta numérica: comecem no {a}, pulem {b} para trás e leiam onde pararam: {answer}.',
  'turn.lineCompare': 'Procurem os dois números na reta numérica: o que está mais adiante é o maior.',
  'say.check': 'Estão em dúvida? “Vamos tocar e contar um por um.” As peças dão a resposta.',
  'say.how': '“Como você descobriu?” Qualquer jeito que funcione é um bom jeito.',
  'say.part': 'Veio só uma parte da resposta? Repitam o que ouviram e perguntem: “E o resto?”',
  'sideBySide.team': 'Ninguém precisa ganhar: deixem tudo virado para cima e joguem como uma equipe só.',
  'sideBySide.calm':
    'Ninguém precisa ser rápido. Joguem um de cada vez e deixem cada criança terminar de pensar.',
  'younger.helper': 'Quem já passou dos {years} anos pode virar as cartas e dizer o que há nelas.',
  'younger.counts': 'Quem já passou dos {years} anos pode contar as peças em voz alta com vocês.',
  'younger.rolls': 'Quem já passou dos {years} anos pode jogar os dados e contar os pontinhos.',
  'atHome.paper': 'Sem as partes impressas: escrevam os mesmos números em papeizinhos.',
  'atHome.deck': 'Não há baralho em casa? Escrevam cada número em quatro papeizinhos.',
  'atHome.dice': 'Não há dados em casa? Virem, uma de cada vez, as cartas do ás ao seis de um mesmo naipe.',
  'play.check': '“Vamos conferir com as peças.”',
  'play.how': '“Como você viu isso?”',
};
