import { emsOf } from './advance.js';
// HarfBuzz, which browsers shape with: what the tables were made from has to be found again in whole words.
import { fontFile, shaperOf } from '../../../../scripts/lib/shaped.mjs';

const WORDS = {
  arabic:
    'الشبكة الغذائية التمثيل الضوئي مُحَمَّد يؤدي لا الإنسان والآلات الله للأسد بيئة مسؤولية قيمة پژوهش گربه چرا ہے کتابیں ۱۲۳ هـ',
  devanagari:
    'प्रकाश संश्लेषण विद्यार्थी कार्य क्षेत्र ज्ञान राष्ट्र स्त्री श्रृंखला वृक्ष हृदय रूप गुरु उत्तर अन्तर्राष्ट्रीय स्वास्थ्य ऊर्जा पृथ्वी संतुलन सूर्य पर्यावरण उष्णकटिबंधीय ब्रह्माण्ड चन्द्रमा वाष्पीकरण लड़का पढ़ना द्वितीय उद्देश्य निष्क्रिय अर्थव्यवस्था कर्त्तव्य',
  hebrew: 'שלום עולם מפת נושאים שָׁלוֹם',
  thai: 'การสังเคราะห์ด้วยแสง น้ำ ผู้ผลิต ห่วงโซ่อาหาร ภูมิ ปั๊ม ป่า',
};

test.each(Object.entries(WORDS))(
  'words of %s are as wide as HarfBuzz draws them, regular and bold',
  async (script, words) => {
    for (const [face, weight] of [
      ['regular', 400],
      ['bold', 700],
    ] as const) {
      const { advance } = await shaperOf(fontFile(`noto-sans-${script}`, script, weight, 'normal'));
      for (const word of words.split(' ')) {
        const { ems, foreign } = emsOf(word, face);
        expect([word, foreign]).toEqual([word, false]);
        expect([word, Math.abs(ems - advance(word) / 1000) < 0.005]).toEqual([word, true]);
      }
    }
  },
);

test('letters that join are narrower than the same by themselves', () => {
  expect(emsOf('بب', 'regular').ems).toBeLessThan(2 * emsOf('ب', 'regular').ems);
  expect(emsOf('क्ष', 'regular').ems).toBeLessThan(emsOf('कष', 'regular').ems);
});
