/** The languages of the Common Locale Data Repository, version 48.0: tag, English name, own name, script. Made by `npm run languages`. */
export const CLDR = `
aa|Afar||Latn
ab|Abkhazian||Cyrl
ace|Acehnese||Latn
ach|Acoli||Latn
ada|Adangme||Latn
ady|Adyghe||Cyrl
aeb|Tunisian Arabic||Arab
ae|Avestan||Avst
afh|Afrihili||Latn
af|Afrikaans||Latn
agq|Aghem||Latn
ain|Ainu||Kana
akk|Akkadian||Xsux
akz|Alabama||Latn
ak|Akan||Latn
ale|Aleut||Latn
aln|Gheg Albanian||Latn
alt|Southern Altai||Cyrl
am|Amharic|አማርኛ|Ethi
ann|Obolo||Latn
anp|Angika||Deva
an|Aragonese||Latn
arc|Aramaic||Armi
arn|Mapuche||Latn
aro|Araona||Latn
arp|Arapaho||Latn
arq|Algerian Arabic||Arab
ars|Najdi Arabic|اللهجة النجدية|Arab
arw|Arawak||Latn
ary|Moroccan Arabic||Arab
arz|Egyptian Arabic||Arab
ar|Arabic|العربية|Arab
asa|Asu|Kipare|Latn
ast|Asturian|Asturianu|Latn
as|Assamese|অসমীয়া|Beng
atj|Atikamekw||Latn
avk|Kotava||Latn
av|Avaric||Cyrl
awa|Awadhi||Deva
ay|Aymara||Latn
az-Arab|Azerbaijani (Arabic)|Azərbaycan (ərəb)|Arab
az|Azerbaijani|Azərbaycan|Latn
bal|Baluchi||Arab
ban|Balinese||Latn
bar|Bavarian||Latn
bas|Basaa|Ɓàsàa|Latn
bax|Bamun||Bamu
ba|Bashkir|Башҡорт|Cyrl
bbc|Batak Toba||Latn
bbj|Ghomala||Latn
bej|Beja||Arab
bem|Bemba|Ichibemba|Latn
bew|Betawi||Latn
bez|Bena|Hibena|Latn
be|Belarusian|Беларуская|Cyrl
bfd|Bafut||Latn
bfq|Badaga||Taml
bgc|Haryanvi|हरियाणवी|Deva
bgn|Western Balochi||Arab
bg|Bulgarian|Български|Cyrl
bho|Bhojpuri|भोजपुरी|Deva
bh|Bhojpuri||Deva
bik|Bikol||Latn
bin|Bini||Latn
bi|Bislama||Latn
bjn|Banjar||Latn
bkm|Kom||Latn
bla|Siksiká||Latn
blo|Anii|Anii kagɩja|Latn
blt|Tai Dam||Tavt
bm|Bambara|Bamanakan|Latn
bn|Bangla|বাংলা|Beng
bo|Tibetan|བོད་སྐད་|Tibt
bpy|Bishnupriya||Beng
bqi|Bakhtiari||Arab
bra|Braj||Deva
brh|Brahui||Arab
brx|Bodo|बर’|Deva
br|Breton|Brezhoneg|Latn
bss|Akoose||Latn
bs|Bosnian|Bosanski|Latn
bua|Buriat|Буряад|Cyrl
bug|Buginese||Latn
bum|Bulu||Latn
byn|Blin||Ethi
byv|Medumba||Latn
cad|Caddo||Latn
car|Carib||Latn
cay|Cayuga||Latn
ca|Catalan|Català|Latn
cch|Atsam||Latn
ccp|Chakma|𑄌𑄋𑄴𑄟𑄳𑄦|Cakm
ceb|Cebuano||Latn
ce|Chechen|Нохчийн|Cyrl
cgg|Chiga|Rukiga|Latn
chb|Chibcha||Latn
chg|Chagatai||Arab
chk|Chuukese||Latn
chm|Mari||Cyrl
chn|Chinook Jargon||Latn
cho|Choctaw||Latn
chp|Chipewyan||Latn
chr|Cherokee|ᏣᎳᎩ|Cher
chy|Cheyenne||Latn
ch|Chamorro||Latn
cic|Chickasaw||Latn
ckb|Central Kurdish|کوردیی ناوەندی|Arab
clc|Chilcotin||Latn
cop|Coptic||Copt
co|Corsican||Latn
cps|Capiznon||Latn
crg|Michif||Latn
crh|Crimean Tatar||Cyrl
crj|Southern East Cree||Cans
crk|Plains Cree||Cans
crl|Northern East Cree||Cans
crm|Moose Cree||Cans
crs|Seselwa Creole French||Latn
cr|Cree||Cans
csb|Kashubian||Latn
csw|Swampy Cree|ᓀᐦᐃᓇᐍᐏᐣ|Cans
cs|Czech|Čeština|Latn
cv|Chuvash|Чӑваш чӗлхи|Cyrl
cy|Welsh|Cymraeg|Latn
dak|Dakota||Latn
dar|Dargwa||Cyrl
dav|Taita|Kitaita|Latn
da|Danish|Dansk|Latn
del|Delaware||Latn
den|Slave||Latn
de|German|Deutsch|Latn
dgr|Dogrib||Latn
din|Dinka||Latn
dje|Zarma|Zarmaciine|Latn
doi|Dogri|डोगरी|Deva
dsb|Lower Sorbian|Dolnoserbšćina|Latn
dtp|Central Dusun||Latn
dua|Duala|Duálá|Latn
dv|Divehi||Thaa
dyo|Jola-Fonyi|Joola|Latn
dyu|Dyula||Latn
dzg|Dazaga||Latn
dz|Dzongkha|རྫོང་ཁ|Tibt
ebu|Embu|Kĩembu|Latn
ee|Ewe|Eʋegbe|Latn
efi|Efik||Latn
egl|Emilian||Latn
eka|Ekajuk||Latn
el|Greek|Ελληνικά|Grek
en|English||Latn
eo|Esperanto||Latn
esu|Central Yupik||Latn
es|Spanish|Español|Latn
et|Estonian|Eesti|Latn
eu|Basque|Euskara|Latn
ewo|Ewondo||Latn
ext|Extremaduran||Latn
fa-AF|Dari|فارسی (افغانستان)|Arab
fan|Fang||Latn
fa|Persian|فارسی|Arab
ff|Fula|Pulaar|Latn
fil|Filipino||Latn
fit|Tornedalen Finnish||Latn
fi|Finnish|Suomi|Latn
fj|Fijian||Latn
fon|Fon||Latn
fo|Faroese|Føroyskt|Latn
frc|Cajun French||Latn
frp|Arpitan||Latn
frr|Northern Frisian||Latn
frs|Eastern Frisian||Latn
fr|French|Français|Latn
fur|Friulian|Furlan|Latn
fy|Western Frisian|Frysk|Latn
gaa|Ga|Gã|Latn
gag|Gagauz||Latn
gan|Gan Chinese||Hans
gay|Gayo||Latn
ga|Irish|Gaeilge|Latn
gba|Gbaya||Latn
gbz|Zoroastrian Dari||Arab
gd|Scottish Gaelic|Gàidhlig|Latn
gez|Geez||Ethi
gil|Gilbertese||Latn
glk|Gilaki||Arab
gl|Galician|Galego|Latn
gn|Guarani||Latn
gon|Gondi||Deva
gor|Gorontalo||Latn
got|Gothic||Goth
grb|Grebo||Latn
gsw|Swiss German|Schwiizertüütsch|Latn
guc|Wayuu||Latn
gur|Frafra||Latn
guz|Gusii|Ekegusii|Latn
gu|Gujarati|ગુજરાતી|Gujr
gv|Manx|Gaelg|Latn
gwi|Gwichʼin||Latn
hai|Haida||Latn
hak|Hakka Chinese||Hans
haw|Hawaiian|ʻŌlelo Hawaiʻi|Latn
hax|Southern Haida||Latn
ha|Hausa||Latn
he|Hebrew|עברית|Hebr
hif|Fiji Hindi||Deva
hil|Hiligaynon||Latn
hit|Hittite||Xsux
hi|Hindi|हिन्दी|Deva
hmn|Hmong||Latn
hnj|Hmong Njua||Hmnp
ho|Hiri Motu||Latn
hr|Croatian|Hrvatski|Latn
hsb|Upper Sorbian|Hornjoserbšćina|Latn
hsn|Xiang Chinese||Hans
ht|Haitian Creole||Latn
hup|Hupa||Latn
hur|Halkomelem||Latn
hu|Hungarian|Magyar|Latn
hy|Armenian|Հայերեն|Armn
hz|Herero||Latn
ia|Interlingua||Latn
iba|Iban||Latn
ibb|Ibibio||Latn
id|Indonesian|Indonesia|Latn
ie|Interlingue||Latn
ig|Igbo||Latn
ii|Sichuan Yi|ꆈꌠꉙ|Yiii
ikt|Western Canadian Inuktitut||Latn
ik|Inupiaq||Latn
ilo|Iloko||Latn
inh|Ingush||Cyrl
io|Ido||Latn
is|Icelandic|Íslenska|Latn
it|Italian|Italiano|Latn
iu|Inuktitut||Cans
izh|Ingrian||Latn
jam|Jamaican Creole English||Latn
ja|Japanese|日本語|Jpan
jbo|Lojban||Latn
jgo|Ngomba|Ndaꞌa|Latn
jmc|Machame|Kimachame|Latn
jpr|Judeo-Persian||Hebr
jrb|Judeo-Arabic||Hebr
jut|Jutish||Latn
jv|Javanese|Jawa|Latn
kaa|Kara-Kalpak||Cyrl
kab|Kabyle|Taqbaylit|Latn
kac|Kachin||Latn
kaj|Jju||Latn
kam|Kamba|Kikamba|Latn
kaw|Kawi||Bali
ka|Georgian|Ქართული|Geor
kbd|Kabardian||Cyrl
kbl|Kanembu||Latn
kcg|Tyap||Latn
kde|Makonde|Chimakonde|Latn
kea|Kabuverdianu||Latn
kek|Qʼeqchiʼ||Latn
ken|Kenyang||Latn
kfo|Koro||Latn
kgp|Kaingang|Kanhgág|Latn
kg|Kongo||Latn
kha|Khasi||Latn
kho|Khotanese||Brah
khq|Koyra Chiini|Koyra ciini|Latn
khw|Khowar||Arab
kiu|Kirmanjki||Latn
ki|Kikuyu|Gikuyu|Latn
kj|Kuanyama||Latn
kkj|Kako|Kakɔ|Latn
kk|Kazakh|Қазақ тілі|Cyrl
kln|Kalenjin||Latn
kl|Kalaallisut||Latn
kmb|Kimbundu||Latn
km|Khmer|ខ្មែរ|Khmr
kn|Kannada|ಕನ್ನಡ|Knda
koi|Komi-Permyak||Cyrl
kok|Konkani|कोंकणी|Deva
kos|Kosraean||Latn
ko|Korean|한국어|Kore
kpe|Kpelle||Latn
krc|Karachay-Balkar||Cyrl
kri|Krio||Latn
krj|Kinaray-a||Latn
krl|Karelian||Latn
kru|Kurukh||Deva
kr|Kanuri||Latn
ksb|Shambala|Kishambaa|Latn
ksf|Bafia|Rikpa|Latn
ksh|Colognian|Kölsch|Latn
ks|Kashmiri|کٲشُر|Arab
kum|Kumyk||Cyrl
kut|Kutenai||Latn
ku|Kurdish|Kurdî (kurmancî)|Latn
kv|Komi||Cyrl
kwk|Kwakʼwala||Latn
kw|Cornish|Kernewek|Latn
kxv|Kuvi||Latn
ky|Kyrgyz|Кыргызча|Cyrl
lad|Ladino||Hebr
lag|Langi|Kɨlaangi|Latn
lah|Western Panjabi||Arab
lam|Lamba||Latn
la|Latin||Latn
lb|Luxembourgish|Lëtzebuergesch|Latn
lez|Lezghian||Cyrl
lfn|Lingua Franca Nova||Latn
lg|Ganda|Luganda|Latn
lij|Ligurian|Ligure|Latn
lil|Lillooet||Latn
liv|Livonian||Latn
li|Limburgish||Latn
lkt|Lakota|Lakȟólʼiyapi|Latn
lmo|Lombard||Latn
ln|Lingala|Lingála|Latn
lol|Mongo||Latn
lou|Louisiana Creole||Latn
loz|Lozi||Latn
lo|Lao|ລາວ|Laoo
lrc|Northern Luri|لۊری شومالی|Arab
lsm|Saamia||Latn
ltg|Latgalian||Latn
lt|Lithuanian|Lietuvių|Latn
lua|Luba-Lulua||Latn
lui|Luiseno||Latn
lun|Lunda||Latn
luo|Luo|Dholuo|Latn
lus|Mizo||Latn
luy|Luyia|Luluhia|Latn
lu|Luba-Katanga|Tshiluba|Latn
lv|Latvian|Latviešu|Latn
lzh|Literary Chinese||Hant
lzz|Laz||Latn
mad|Madurese||Latn
maf|Mafa||Latn
mag|Magahi||Deva
mai|Maithili|मैथिली|Deva
mak|Makasar||Latn
man|Mandingo||Latn
mas|Masai|Maa|Latn
mde|Maba||Arab
mdf|Moksha||Cyrl
mdr|Mandar||Latn
men|Mende||Latn
mer|Meru|Kĩmĩrũ|Latn
mfe|Morisyen|Kreol morisien|Latn
mgh|Makhuwa-Meetto|Makua|Latn
mgo|Metaʼ||Latn
mg|Malagasy||Latn
mh|Marshallese||Latn
mic|Mi'kmaw||Latn
min|Minangkabau||Latn
mi|Māori||Latn
mk|Macedonian|Македонски|Cyrl
ml|Malayalam|മലയാളം|Mlym
mnc|Manchu||Mong
mni|Manipuri|মৈতৈলোন্|Beng
mn|Mongolian|Монгол|Cyrl
moe|Innu-aimun||Latn
moh|Mohawk||Latn
mos|Mossi||Latn
mrj|Western Mari||Cyrl
mr|Marathi|मराठी|Deva
ms-Arab|Malay (Arabic)||Arab
ms|Malay|Melayu|Latn
mt|Maltese|Malti|Latn
mua|Mundang|MUNDAŊ|Latn
mus|Muscogee||Latn
mwl|Mirandese||Latn
mwr|Marwari||Deva
mwv|Mentawai||Latn
mye|Myene||Latn
myv|Erzya||Cyrl
my|Burmese|မြန်မာ|Mymr
mzn|Mazanderani|مازرونی|Arab
nan|Min Nan Chinese||Hans
nap|Neapolitan||Latn
naq|Nama|Khoekhoegowab|Latn
na|Nauru||Latn
nb|Norwegian Bokmål|Norsk bokmål|Latn
nds|Low German|Neddersass’sch|Latn
nd|North Ndebele|IsiNdebele|Latn
new|Newari||Deva
ne|Nepali|नेपाली|Deva
ng|Ndonga||Latn
nia|Nias||Latn
niu|Niuean||Latn
njo|Ao Naga||Latn
nl|Dutch|Nederlands|Latn
nmg|Kwasio||Latn
nnh|Ngiemboon|Shwóŋò ngiembɔɔn|Latn
nn|Norwegian Nynorsk|Norsk nynorsk|Latn
nog|Nogai||Cyrl
nov|Novial||Latn
no|Norwegian|Norsk|Latn
nqo|N’Ko|ߒߞߏ|Nkoo
nr|South Ndebele||Latn
nso|Northern Sotho|Sesotho sa Leboa|Latn
nus|Nuer|Thok Nath|Latn
nv|Navajo||Latn
nym|Nyamwezi||Latn
nyn|Nyankole|Runyankore|Latn
nyo|Nyoro||Latn
ny|Nyanja||Latn
nzi|Nzima||Latn
oc|Occitan||Latn
ojb|Northwestern Ojibwa||Latn
ojc|Central Ojibwa||Latn
ojs|Oji-Cree||Cans
ojw|Western Ojibwa||Latn
oj|Ojibwa||Cans
oka|Okanagan||Latn
om|Oromo|Oromoo|Latn
or|Odia|ଓଡ଼ିଆ|Orya
osa|Osage||Osge
os|Ossetic|Ирон|Cyrl
ota|Ottoman Turkish||Arab
pa-Arab|Punjabi (Arabic)|پنجابی (عربی)|Arab
pag|Pangasinan||Latn
pal|Pahlavi||Phli
pam|Pampanga||Latn
pap|Papiamento||Latn
pau|Palauan||Latn
pa|Punjabi|ਪੰਜਾਬੀ|Guru
pcd|Picard||Latn
pcm|Nigerian Pidgin|Naijíriá Píjin|Latn
pdc|Pennsylvania German||Latn
pdt|Plautdietsch||Latn
pfl|Palatine German||Latn
phn|Phoenician||Phnx
pis|Pijin||Latn
pi|Pali||Latn
pl|Polish|Polski|Latn
pms|Piedmontese|Piemontèis|Latn
pnt|Pontic||Grek
pon|Pohnpeian||Latn
pqm|Maliseet-Passamaquoddy||Latn
prg|Prussian|Prūsiskan|Latn
ps|Pashto|پښتو|Arab
pt-PT|European Portuguese|Português (Portugal)|Latn
pt|Portuguese|Português|Latn
quc|Kʼicheʼ||Latn
qug|Chimborazo Highland Quichua||Latn
qu|Quechua|Runasimi|Latn
raj|Rajasthani|राजस्थानी|Deva
rap|Rapanui||Latn
rar|Rarotongan||Latn
rgn|Romagnol||Latn
rhg|Rohingya||Rohg
rif|Riffian||Latn
rm|Romansh|Rumantsch|Latn
rn|Rundi|Ikirundi|Latn
rof|Rombo|Kihorombo|Latn
rom|Romany||Latn
ro|Romanian|Română|Latn
rtm|Rotuman||Latn
rue|Rusyn||Cyrl
rug|Roviana||Latn
rup|Aromanian||Latn
ru|Russian|Русский|Cyrl
rwk|Rwa|Kiruwa|Latn
rw|Kinyarwanda|Ikinyarwanda|Latn
sad|Sandawe||Latn
sah|Yakut|Саха тыла|Cyrl
sam|Samaritan Aramaic||Samr
saq|Samburu|Kisampur|Latn
sas|Sasak||Latn
sat|Santali|ᱥᱟᱱᱛᱟᱲᱤ|Olck
saz|Saurashtra||Saur
sa|Sanskrit|संस्कृत भाषा|Deva
sba|Ngambay||Latn
sbp|Sangu|Ishisangu|Latn
scn|Sicilian|Sicilianu|Latn
sco|Scots||Latn
sc|Sardinian|Sardu|Latn
sdc|Sassarese Sardinian||Latn
sdh|Southern Kurdish||Arab
sd|Sindhi|سنڌي|Arab
see|Seneca||Latn
seh|Sena||Latn
sei|Seri||Latn
sel|Selkup||Cyrl
ses|Koyraboro Senni|Koyraboro senni|Latn
se|Northern Sami|Davvisámegiella|Latn
sgs|Samogitian||Latn
sg|Sango|Sängö|Latn
shi|Tachelhit|ⵜⴰⵛⵍⵃⵉⵜ|Tfng
shn|Shan|တႆး|Mymr
shu|Chadian Arabic||Arab
sid|Sidamo||Latn
si|Sinhala|සිංහල|Sinh
sk|Slovak|Slovenčina|Latn
slh|Southern Lushootseed||Latn
sli|Lower Silesian||Latn
sly|Selayar||Latn
sl|Slovenian|Slovenščina|Latn
sma|Southern Sami||Latn
smj|Lule Sami||Latn
smn|Inari Sami|Anarâškielâ|Latn
sms|Skolt Sami||Latn
sm|Samoan||Latn
snk|Soninke||Latn
sn|Shona|ChiShona|Latn
sog|Sogdien||Sogd
so|Somali|Soomaali|Latn
sq|Albanian|Shqip|Latn
sr-Latn|Serbian (Latin)|Srpski (latinica)|Latn
sr-ME|Montenegrin|Srpski (Crna Gora)|Latn
srn|Sranan Tongo||Latn
srr|Serer||Latn
sr|Serbian|Српски|Cyrl
ssy|Saho||Latn
ss|Swati||Latn
stq|Saterland Frisian||Latn
str|Straits Salish||Latn
st|Southern Sotho|Sesotho|Latn
suk|Sukuma||Latn
sus|Susu||Latn
su|Sundanese|Basa Sunda|Latn
sv|Swedish|Svenska|Latn
sw-CD|Congo Swahili|Kiswahili (Kongo - Kinshasa)|Latn
swb|Comorian||Arab
sw|Swahili|Kiswahili|Latn
syr|Syriac|ܣܘܪܝܝܐ|Syrc
szl|Silesian|Ślōnski|Latn
ta|Tamil|தமிழ்|Taml
tce|Southern Tutchone||Latn
tcy|Tulu||Knda
tem|Timne||Latn
teo|Teso|Kiteso|Latn
ter|Tereno||Latn
tet|Tetum||Latn
te|Telugu|తెలుగు|Telu
tgx|Tagish||Latn
tg|Tajik|Тоҷикӣ|Cyrl
tht|Tahltan||Latn
th|Thai|ไทย|Thai
tig|Tigre||Ethi
tiv|Tiv||Latn
ti|Tigrinya|ትግርኛ|Ethi
tkl|Tokelauan||Latn
tkr|Tsakhur||Latn
tk|Turkmen|Türkmen dili|Latn
tli|Tlingit||Latn
tly|Talysh||Latn
tmh|Tamashek||Latn
tn|Tswana|Setswana|Latn
tog|Nyasa Tonga||Latn
tok|Toki Pona|Toki pona|Latn
to|Tongan|Lea fakatonga|Latn
tpi|Tok Pisin||Latn
tru|Turoyo||Latn
trv|Taroko||Latn
trw|Torwali||Arab
tr|Turkish|Türkçe|Latn
tsd|Tsakonian||Grek
tsi|Tsimshian||Latn
ts|Tsonga||Latn
ttm|Northern Tutchone||Latn
ttt|Muslim Tat||Latn
tt|Tatar|Татар|Cyrl
tum|Tumbuka||Latn
tvl|Tuvalu||Latn
twq|Tasawaq|Tasawaq senni|Latn
tw|Akan||Latn
tyv|Tuvinian|Тыва|Cyrl
ty|Tahitian||Latn
tzm|Central Atlas Tamazight|Tamaziɣt n laṭlaṣ|Latn
udm|Udmurt||Cyrl
uga|Ugaritic||Ugar
ug|Uyghur|ئۇيغۇرچە|Arab
uk|Ukrainian|Українська|Cyrl
umb|Umbundu||Latn
ur|Urdu|اردو|Arab
uz-Cyrl|Uzbek (Cyrillic)|Ўзбекча (Кирил)|Cyrl
uz|Uzbek|O‘zbek|Latn
vai|Vai|ꕙꔤ|Vaii
vec|Venetian|Veneto|Latn
vep|Veps||Latn
ve|Venda||Latn
vi|Vietnamese|Tiếng Việt|Latn
vls|West Flemish||Latn
vmf|Main-Franconian||Latn
vmw|Makhuwa|Emakhuwa|Latn
vot|Votic||Latn
vo|Volapük||Latn
vro|Võro||Latn
vun|Vunjo|Kyivunjo|Latn
wae|Walser||Latn
wal|Wolaytta||Ethi
war|Waray||Latn
was|Washo||Latn
wa|Walloon||Latn
wbp|Warlpiri||Latn
wo|Wolof||Latn
wuu|Wu Chinese||Hans
xal|Kalmyk||Cyrl
xh|Xhosa|IsiXhosa|Latn
xmf|Mingrelian||Geor
xnr|Kangri|कांगड़ी|Deva
xog|Soga|Olusoga|Latn
yao|Yao||Latn
yap|Yapese||Latn
yav|Yangben|Nuasue|Latn
ybb|Yemba||Latn
yi|Yiddish|ייִדיש|Hebr
yo|Yoruba|Èdè Yorùbá|Latn
yrl|Nheengatu|Nheẽgatu|Latn
yue|Cantonese|粵語|Hant
zap|Zapotec||Latn
za|Zhuang|Vahcuengh|Latn
zea|Zeelandic||Latn
zen|Zenaga||Tfng
zgh|Standard Moroccan Tamazight|ⵜⴰⵎⴰⵣⵉⵖⵜ|Tfng
zh-Hans|Simplified Chinese|中文（简体）|Hans
zh-Hant|Traditional Chinese|中文（繁體）|Hant
zun|Zuni||Latn
zu|Zulu|IsiZulu|Latn
zza|Zaza||Latn
`;
